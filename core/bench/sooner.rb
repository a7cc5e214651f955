# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What it would take to promise a job sooner: another place to dry, new parts instead of a wash, somebody who
      # stays on, or another customer who is asked for a later day. Each is tried as the promise itself was.
      class Sooner
        # @!attribute kind [Symbol] of KINDS
        # @!attribute by [Integer] the moment by which it could be promised then
        # @!attribute other [Integer, nil] number of the job that would be later
        # @!attribute technician [Integer, nil] id of whoever would stay on
        Way = Struct.new(:kind, :by, :other, :technician, keyword_init: true)

        KINDS = %i[elsewhere new_instead stay_on later_day].freeze
        LATER = 1440 # minutes, that another customer would be asked for
        LEAST = 30 # minutes sooner that are worth asking for (house rule)
        MOVES = 8
        MOST_OTHERS = 3

        # @param ask [Hash] as TakeIn takes it: shop, chains, chain and kept
        # @param answer [TakeIn::Answer] as it would be promised now
        def initialize(ask, answer)
          @ask = ask
          @answer = answer
        end

        # @return [Array<Way>] the soonest first
        def call
          [elsewhere, new_instead, *stay_on, *later_day].compact.sort_by { |way| [way.by, KINDS.index(way.kind)] }
        end

        private

        # What is washed does not wait for slots of the rack.
        def elsewhere
          return if @answer.for_room.zero?

          way(:elsewhere, chain: @ask[:chain].off_the_rack)
        end

        def new_instead
          way(:new_instead, chain: @ask[:chain].without_drying) if @ask[:chain].dries?
        end

        def stay_on
          shop = @ask[:shop]
          shop.technicians.map { |one| way(:stay_on, technician: one.id, shop: shop.staying_on(one)) }
        end

        # Those that hold it up, and have a promise.
        def later_day
          promised = @ask[:chains].select(&:promise).to_h { |chain| [chain.number, chain] }
          (@answer.held_up_by & promised.keys).first(MOST_OTHERS).map do |number|
            later = promised.fetch(number).with(promise: promised.fetch(number).promise + LATER)
            way(:later_day, other: number, chains: @ask[:chains].map { |chain| chain.number == number ? later : chain })
          end
        end

        # @return [Way, nil] nil where it is hardly sooner
        def way(kind, other: nil, technician: nil, **changed)
          by = TakeIn.new(**@ask, **changed).call(moves: MOVES).by
          Way.new(kind: kind, by: by, other: other, technician: technician) if @answer.by - by >= LEAST
        rescue BeyondHorizon, NoSlot
          nil
        end
      end
    end
  end
end
