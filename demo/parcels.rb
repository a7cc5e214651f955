# frozen_string_literal: true

module UprightBench
  module Demo
    # Parts that customers asked for on a card go out by post some days later, and are put in at home. Those asked for
    # of late are still to be sent.
    class Parcels
      PACKED_AFTER_DAYS = 3
      STILL_ASKED_DAYS = 24
      POSTAGE_CENTS = 650

      # @param by [Models::Person] who packs them
      # @param today [Date]
      def initialize(by, today)
        @by = by
        @last = Config::Zone.at(today - STILL_ASKED_DAYS, 0)
      end

      # @param at [Time]
      def call(at)
        Services::MoveParcel.fitted_by_now(at: at)
        asked(at).each { |card| lines_by_machine(card).each { |machine, dues| send_off(card, machine, dues, at) } }
      end

      private

      def asked(at)
        until_then = [at - (PACKED_AFTER_DAYS * 86_400), @last].min
        answers = Models::Answer.where(kind: "send_part").where { answered_at < until_then }
        Models::Card.where(id: answers.select(:card_id))
          .exclude(id: Models::Parcel.exclude(card_id: nil).select(:card_id)).order(:id).all
      end

      # @return [Hash{Models::Machine=>Array<Models::Due>}] what is still to be replaced
      def lines_by_machine(card)
        named = card.lines_dataset.where(void: false).select(:due_id)
        Models::Due.where(id: named, state: "open", action: "replace").order(:id).all.group_by(&:machine)
      end

      def send_off(card, machine, dues, at)
        fitted = parts_for(machine, dues.map(&:position), at)
        return if fitted.empty?

        sale = { customer: card.customer, machine: machine, way: "transfer", fitted: fitted,
                 pieces: fitted.values.tally, request_key: SecureRandom.uuid }
        parcel = Services::PackParcel.call(sale, postage_cents: POSTAGE_CENTS, card_id: card.id, by: @by, at: at)
        Services::MoveParcel.call(parcel, "sent", by: @by, at: at + 3600)
      end

      # @return [Hash{String=>Integer}] place => id of the part, of those that are on the shelf
      def parts_for(machine, places, at)
        fits = Services::FitFor.new(machine.to_core, machine, today: Config::Zone.date(at)).call(places)
        fits.transform_values { |fit| fit.candidates.map(&:part).find(&:on_shelf?)&.id }.compact
      end
    end
  end
end
