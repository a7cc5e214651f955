# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # Tries that part the machine in two before anything is taken apart (common practice). Each belongs to some
      # complaints, and to machines that have what it needs.
      class Tries
        SURE = 0.95 # how often such a try tells right, from memory
        MINUTES = { hose: 1.0, inlet: 1.5, head: 1.0 }.freeze
        FOR = { hose: %i[weak_on_the_floor weak_everywhere no_suction pulses],
                inlet: %i[no_suction weak_everywhere pulses],
                head: %i[noise] }.freeze
        # Parts in whose place a known good one is put (common practice),
        # and without which some machines may run for a moment.
        SWAPPED = { battery: { faults: %i[weak], minutes: 2.0 } }.freeze
        LEFT_OUT = { filter: %i[full damp] }.freeze
        WITHOUT = %i[pulses weak_everywhere no_suction].freeze
        WITHOUT_MINUTES = 1.0
        # Parts at the floor, where suction at the hose end says nothing of them.
        AT_THE_FLOOR = %i[roll brush side_brush wiper guide_bars window wheels vents comb pedal].freeze
        MOTOR_FAULTS = %i[motor carbon].freeze

        # @param sheet [Sheets::Sheet]
        # @param complaint [Symbol]
        # @param causes [Array<Cause>]
        def initialize(sheet, complaint, causes)
          @sheet = sheet
          @complaint = complaint
          @causes = causes
          @openings = Openings.new(sheet)
        end

        # @return [Array<Check>] those that part the causes that there are
        def call
          [(hose if asked?(:hose)), (inlet if asked?(:inlet)), (head if asked?(:head)), *swaps, *without].compact
        end

        private

        def asked?(try)
          FOR.fetch(try).include?(@complaint)
        end

        # Nothing is parted where all causes lie on one side.
        def splitting(key, here, seen, unseen, **fields)
          return if here.empty? || here.size == @causes.count(&:place)

          shows = @causes.select(&:place).to_h do |cause|
            [cause.key, here.include?(cause) ? seen : unseen]
          end
          Check.new(key: "try:#{key}", shows: shows, splits: true, minutes: MINUTES.fetch(key), **fields)
        end

        # What comes before the air enters the hose, or the body of a machine without one.
        def hose
          first = @sheet.stations.first
          floor = @causes.select { |cause| cause.place && floor?(cause, first) }
          splitting(:hose, floor, SURE, 1 - SURE, place: nil, name: "At the end of the hose or wand",
            act: "Take off head and wand, switch on, and feel the suction at the open end.",
            sign: "it pulls hard there: the fault is in what came off")
        end

        def floor?(cause, first)
          place = @sheet.position(cause.place)
          place.station == first.key || AT_THE_FLOOR.include?(place.kind)
        end

        # With the filters out: what is in front of the motor on one side, the motor on the other.
        def inlet
          motor = @sheet.walk.find { |place| place.kind == :motor }
          return if motor.nil? || @sheet.runs_without_filter == false

          behind = @causes.select { |cause| cause.place && MOTOR_FAULTS.include?(@sheet.position(cause.place).kind) }
          splitting(:inlet, behind, 1 - SURE, SURE, place: motor.key, name: "Hand over the motor's inlet",
            act: "Filters out, switch on, and lay a hand over the motor's inlet. A few seconds, no more.",
            sign: "it pulls hard there: the fault is upstream", needs: @openings.needed(motor.key),
            caution: "Nothing loose near the inlet. Where the handbook forbids running it without a filter, leave " \
                     "this out.")
        end

        def swaps
          at_parts(SWAPPED.transform_values { |row| row[:faults] }).map do |place, here|
            proving("swap:#{place.key}", place, here, minutes: SWAPPED.fetch(place.kind)[:minutes],
              needs: @openings.needed(place.key),
              name: "#{place.name}: another one", tool: "a known good one",
              act: "Put in a known good one, and try the complaint again.", sign: "the complaint is gone")
          end
        end

        # Only where the sheet says that it may run like that.
        def without
          return [] unless @sheet.runs_without_filter && WITHOUT.include?(@complaint)

          at_parts(LEFT_OUT).map do |place, here|
            proving("without:#{place.key}", place, here, minutes: WITHOUT_MINUTES,
              name: "Without #{place.name.downcase}",
              act: "Take it out, and let it run for a moment.", sign: "the complaint is gone",
              needs: @openings.needed(place.key),
              caution: "A few seconds, nothing loose near the motor's inlet.")
          end
        end

        # @param faults [Hash{Symbol=>Array<Symbol>}] by kind of part
        # @return [Hash{Sheets::Position=>Array<Cause>}]
        def at_parts(faults)
          @causes.select { |cause| cause.place && of_these?(faults, cause) }
            .group_by { |cause| @sheet.position(cause.place) }
        end

        def of_these?(faults, cause)
          faults.fetch(@sheet.position(cause.place).kind, []).include?(cause.fault.key)
        end

        def proving(key, place, here, **fields)
          Check.new(key: key, place: place.key, shows: here.to_h { |cause| [cause.key, SURE] }, **fields)
        end

        def head
          first = @sheet.stations.first
          floor = @causes.select { |cause| cause.place && floor?(cause, first) }
          splitting(:head, floor, SURE, 1 - SURE, place: nil, name: "Without its head",
            act: "Take the head off, and switch on for a moment.", sign: "the noise is gone: it comes from the head")
        end
      end
    end
  end
end
