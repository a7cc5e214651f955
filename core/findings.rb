# frozen_string_literal: true

module UprightBench
  module Core
    # What is seen or measured at a position, and what it means.
    #
    # KINDS is the one table of what may be recorded for each kind of part. A field is a
    # scale (numbers in steps), a choice (one word of a list), a flag, or a measure (a number with unit
    # and sane limits: beyond them something else was measured).
    module Findings
      def self.scale(label, values, words = {})
        { type: :scale, label: label, values: values, words: words }.freeze
      end

      def self.choice(label, *values)
        { type: :choice, label: label, values: values }.freeze
      end

      def self.flag(label)
        { type: :flag, label: label }.freeze
      end

      def self.measure(label, unit, range)
        { type: :measure, label: label, unit: unit, range: range }.freeze
      end
      private_class_method :scale, :choice, :flag, :measure

      KINDS = {
        filter: {
          grey: scale("Grey", (0..5).to_a, { 0 => "white", 5 => "as dark as the reference" }),
          torn: flag("Torn or out of shape"), smell: flag("Smells"), after_wash: flag("Already washed today"),
          indicator_percent: measure("Indicator", "%", 0..100)
        },
        brush: { standout_mm: measure("Bristles beyond the guide bars", "mm", -5..40) },
        roll: { turns: choice("Roll", "free", "drags", "stuck") },
        bag: { fill_percent: measure("Full", "%", 0..100), burst: flag("Burst") },
        bin: { fill_percent: measure("Full", "%", 0..100), cracked: flag("Cracked") },
        seal: { state: choice("Seal", "clean", "dirty", "lifted", "torn") },
        flap: { state: choice("Flap", "closes", "gapes", "broken") },
        path: { state: choice("Way", "clear", "partly", "blocked") },
        belt: { length_mm: measure("Length", "mm", 50..3000), cracked: flag("Cracked, glazed or torn") },
        contacts: { state: choice("Contacts", "bright", "dirty", "burnt") },
        battery: { state: choice("Pack", "sound", "weak", "swollen") },
        lead: { state: choice("Lead", "sound", "damaged") }
      }.freeze
    end
  end
end
