# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What a customer complains of, and what is behind it how often: for each complaint, kinds of part with what is
      # wrong with them, and a weight beside the other weights. The order is common practice, the numbers are ours. A
      # machine that lacks the part lacks the fault; a part that is there several times shares its weight.
      module Complaints
        # @!attribute key [Symbol]
        # @!attribute words [String] as it is said at the counter
        # @!attribute rows [Array<Row>]
        Complaint = Struct.new(:key, :words, :rows, keyword_init: true)
        # @!attribute by_kind [Hash{Symbol=>Numeric}] other weights, by kind of machine, or its power
        Row = Struct.new(:part, :fault, :weight, :by_kind, keyword_init: true)

        def self.complaint(key, words, rows)
          rows = rows.map do |part, fault, weight, by_kind|
            Row.new(part: part, fault: fault, weight: weight, by_kind: by_kind || {}).freeze
          end
          Complaint.new(key: key, words: words, rows: rows.freeze).freeze
        end
        private_class_method :complaint

        ALL = [
          complaint(:pulses, "pulses", [
            [:filter, :full, 60, { stick: 150 }], [:filter, :damp, 4, { stick: 5 }],
            [:path, :blocked, 12, { stick: 3 }],
            [:screen, :clogged, 4, { stick: 2 }], [:screen, :wound, 4, { stick: 1 }], [:bin, :full, 3, { stick: 1 }],
            [:bag, :full, 8], [:seal, :lifted, 3, { stick: 1 }], [:filter, :loose, 3, { stick: 2 }],
            [:battery, :weak, 3, { stick: 2 }], [:contacts, :dirty, 2, { stick: 1 }],
            [:setting, :cut_out, 6, { battery: 0 }],
            [:motor, :worn, 3, { stick: 1 }]
          ]),
          complaint(:weak_on_the_floor, "weak on the floor", [
            [:setting, :pile, 18], [:setting, :slide, 8], [:setting, :eco, 4], [:roll, :wound, 16], [:roll, :worn, 8],
            [:brush, :flush, 18], [:path, :partly, 10], [:path, :blocked, 8], [:vents, :blocked, 4],
            [:flap, :gapes, 6],
            [:valve, :sticks, 5], [:wiper, :worn, 8], [:window, :cracked, 3], [:seal, :dirty, 2], [:filter, :full, 6],
            [:belt, :broken, 5], [:wheels, :drag, 2], [:side_brush, :bent, 4]
          ]),
          complaint(:weak_everywhere, "weak everywhere", [
            [:filter, :full, 34, { stick: 42 }], [:bag, :full, 22], [:bin, :full, 10], [:path, :partly, 10],
            [:path, :blocked, 6], [:flap, :jammed, 5], [:screen, :clogged, 6], [:screen, :wound, 5],
            [:cyclone, :packed, 3],
            [:seal, :dirty, 4], [:seal, :lifted, 3], [:seal, :torn, 2], [:setting, :eco, 4], [:setting, :slide, 5],
            [:valve, :sticks, 3], [:filter, :damp, 2], [:motor, :worn, 3], [:carbon, :sparks, 3],
            [:battery, :weak, 4],
            [:bin, :cracked, 1]
          ]),
          complaint(:no_suction, "no suction", [
            [:path, :blocked, 38], [:filter, :full, 14], [:flap, :jammed, 6], [:bag, :full, 6],
            [:screen, :clogged, 6],
            [:bin, :full, 4], [:seal, :lifted, 6], [:seal, :torn, 3], [:setting, :slide, 3],
            [:setting, :cut_out, 6, { battery: 1 }], [:motor, :worn, 10], [:bag, :burst, 2], [:tank, :gapes, 3],
            [:cyclone, :packed, 2]
          ]),
          complaint(:brush_does_not_turn, "brush does not turn", [
            [:setting, :off, 16], [:roll, :stuck, 34], [:roll, :wound, 14], [:belt, :broken, 26],
            [:contacts, :dirty, 10],
            [:side_brush, :wound, 6], [:comb, :wound, 3], [:battery, :weak, 2], [:motor, :worn, 1]
          ]),
          complaint(:hard_to_push, "hard to push", [
            [:setting, :pile, 45], [:setting, :slide, 10], [:wheels, :drag, 14], [:wheels, :broken, 4],
            [:wiper, :dirty, 6],
            [:wiper, :worn, 4], [:brush, :flush, 5], [:pedal, :stiff, 6], [:roll, :stuck, 8], [:guide_bars, :bent, 2]
          ]),
          complaint(:dirt_comes_back_out, "dirt comes back out", [
            [:flap, :gapes, 26], [:flap, :broken, 8], [:brush, :flush, 14], [:roll, :worn, 8], [:roll, :wound, 8],
            [:bag, :full, 14], [:bin, :full, 12], [:seal, :lifted, 6], [:seal, :dirty, 5], [:wiper, :worn, 5],
            [:path, :partly, 6], [:side_brush, :wound, 4], [:setting, :pile, 6]
          ]),
          complaint(:smells, "smells", [
            [:filter, :damp, 26], [:filter, :full, 22], [:bag, :full, 22], [:path, :partly, 6], [:bin, :full, 8],
            [:roll, :wound, 5], [:belt, :broken, 7], [:motor, :burnt, 3], [:tank, :dirty, 20], [:pad, :dirty, 8],
            [:cyclone, :packed, 3], [:carbon, :sparks, 2]
          ]),
          complaint(:dust_in_the_exhaust_air, "dust in the exhaust air", [
            [:filter, :loose, 34], [:filter, :torn, 26], [:bag, :burst, 14], [:seal, :lifted, 8], [:seal, :torn, 6],
            [:bin, :cracked, 4], [:bag, :full, 4], [:cyclone, :packed, 2]
          ]),
          complaint(:short_run_time, "short run time", [
            [:contacts, :dirty, 22], [:filter, :full, 24], [:roll, :wound, 12], [:roll, :stuck, 4],
            [:battery, :weak, 30],
            [:dock, :dusty, 6], [:dock, :loose, 4], [:path, :partly, 3], [:setting, :eco, 0], [:wheels, :drag, 3],
            [:motor, :worn, 2]
          ]),
          complaint(:lid_or_bin_stiff, "lid or bin stiff", [
            [:seal, :binds, 60], [:seal, :dirty, 18], [:seal, :lifted, 8], [:bin, :cracked, 5], [:tank, :dirty, 5]
          ]),
          complaint(:noise, "noise", [
            [:path, :blocked, 18], [:path, :partly, 12], [:filter, :loose, 16], [:filter, :full, 10],
            [:roll, :wound, 10],
            [:roll, :stuck, 4], [:belt, :broken, 7], [:wheels, :drag, 4], [:motor, :worn, 14], [:carbon, :sparks, 4],
            [:seal, :lifted, 5], [:side_brush, :bent, 2], [:flap, :jammed, 2]
          ])
        ].freeze
        BY_KEY = ALL.to_h { |complaint| [complaint.key, complaint] }.freeze
        # Of a hundred, what is nowhere in the table.
        NONE_OF_THESE = 5

        module_function

        # @param key [Symbol, String]
        # @return [Complaint]
        # @raise [KeyError]
        def fetch(key)
          BY_KEY.fetch(key.to_sym)
        end

        # @param text [String] as it was written at take-in
        # @return [Array<Complaint>] those that it names
        def in_text(text)
          ALL.select { |complaint| text.to_s.downcase.match?(/(?<!\p{L})#{Regexp.escape(complaint.words)}(?!\p{L})/) }
        end

        # @param sheet [Sheets::Sheet]
        # @return [Numeric]
        def weight(row, sheet)
          row.by_kind.fetch(sheet.kind) { row.by_kind.fetch(sheet.power) { row.weight } }
        end
      end
    end
  end
end
