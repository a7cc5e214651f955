# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Services
    # Seals what happened since, in the order of what is known by now: nobody who writes ever waits for it. One at a
    # time; whoever comes while another is at it goes away.
    module SealEvents
      SLICE = 2000
      MOST_SLICES = 50 # at once; what is left is for the next round
      # An event that was begun before others may be committed after them.
      LOOKED_BACK = 10_000
      LOCK = 7_610_001
      COLUMNS = %i[number event_id salt seal].freeze

      module_function

      # @return [Integer] events sealed
      def call
        MOST_SLICES.times.sum do
          sealed = slice
          break sealed if sealed < SLICE

          sealed
        end
      end

      # @return [Integer]
      def slice
        DB.transaction do
          next 0 unless DB.get(Sequel.function(:pg_try_advisory_xact_lock, LOCK))

          number, last = DB[:event_seals].reverse(:number).get(%i[number seal]) || [0, Core::Access::Seal::FIRST]
          rows = seal(waiting, number, last.to_s.b)
          DB[:event_seals].import(COLUMNS, rows)
          rows.size
        end
      end

      # @return [Array<Hash>] facts and detail of events that have no seal, in their order
      def waiting
        id = Sequel[:events][:id]
        newest = DB[:event_seals].max(:event_id).to_i
        SealedEvents.facts.where(id > newest - LOOKED_BACK)
          .exclude(DB[:event_seals].where(event_id: id).select(1).exists).order(id).limit(SLICE).all
      end

      def seal(events, number, before)
        events.map do |event|
          salt = SecureRandom.bytes(Core::Access::Seal::SALT_BYTES)
          before = Core::Access::Seal.next(before, event, Core::Access::Seal.detail(salt, event[:detail]))
          [number += 1, event[:id], Sequel.blob(salt), Sequel.blob(before)]
        end
      end
      private_class_method :slice, :waiting, :seal
    end
  end
end
