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
                inlet: %i[no_suction weak_everywhere weak_on_the_floor pulses],
                head: %i[noise] }.freeze
        ALONE_MINUTES = 1.0
        ALONE = %i[lid_or_bin_stiff].freeze
        SWAP_MINUTES = 2.0
        WITHOUT = %i[pulses weak_everywhere no_suction].freeze
        WITHOUT_MINUTES = 1.0

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
          [*%i[hose inlet head].select { |try| asked?(try) }.map { |try| send(try) }, *swaps, *without, *alone].compact
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
            act: "Take off the head, switch on, and feel the suction at the open end.",
            sign: "it pulls hard there: the fault is in what came off")
        end

        def floor?(cause, first)
          place = @sheet.position(cause.place)
          place.station == first.key || place.kind_of_part.trait?(:at_the_floor)
        end

        # With the filters out: what is in front of the motor on one side, the motor on the other.
        def inlet
          motor = @sheet.walk.find { |place| place.kind == :motor }
          return if motor.nil? || @sheet.runs_without_filter == false

          behind = @causes.select do |cause|
            cause.place && @sheet.position(cause.place).kind_of_part.trait?(:moves_the_air)
          end
          splitting(:inlet, behind, 1 - SURE, SURE, place: motor.key, name: "Hand over the motor's inlet",
            act: "Filters out, switch on, and lay a hand over the motor's inlet. A few seconds, no more.",
            sign: "it pulls hard there: the fault is upstream", needs: @openings.needed(motor.key),
            caution: "Nothing loose near the inlet. Where the handbook forbids running it without a filter, leave " \
                     "this out.")
        end

        def swaps
          shown_by(:a_good_one).map do |place, here|
            proving("swap:#{place.key}", place, here, minutes: SWAP_MINUTES,
              needs: @openings.needed(place.key),
              name: "#{place.name}: another one", tool: "a known good one",
              act: "Put in a known good one, and try the complaint again.", sign: "the complaint is gone")
          end
        end

        # Only where the sheet says that it may run like that.
        def without
          return [] unless @sheet.runs_without_filter && WITHOUT.include?(@complaint)

          shown_by(:leaving_it_out).map do |place, here|
            proving("without:#{place.key}", place, here, minutes: WITHOUT_MINUTES,
              name: "Without #{place.name.downcase}",
              act: "Take it out, and let it run for a moment.", sign: "the complaint is gone",
              needs: @openings.needed(place.key),
              caution: "A few seconds, nothing loose near the motor's inlet.")
          end
        end

        # Where several lids' seals may bind, each is closed alone (common practice). What is reached only by opening
        # the machine sits on no lid.
        def alone
          return [] unless ALONE.include?(@complaint) && binding_lids.size > 1

          binding_lids.map do |cause|
            proving("alone:#{cause.place}", @sheet.position(cause.place), [cause], minutes: ALONE_MINUTES,
              name: "#{cause.name} alone", act: "Close the lid that it sits on, with no other lid in its way.",
              sign: "it goes stiffly with this one alone")
          end
        end

        def binding_lids
          @causes.select { |cause| cause.part == :seal && cause.fault.key == :binds }
            .select { |cause| @openings.needed(cause.place).empty? }
        end

        # @param trial [Symbol] of Fault::TRIALS
        # @return [Hash{Sheets::Position=>Array<Cause>}]
        def shown_by(trial)
          @causes.select { |cause| cause.place && cause.fault.shown_by == trial }
            .group_by { |cause| @sheet.position(cause.place) }
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
