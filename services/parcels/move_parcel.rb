# frozen_string_literal: true

module UprightBench
  module Services
    # What becomes of a parcel: it is handed to the post, its parts are put in at home, or it comes back. Said twice is
    # said once.
    class MoveParcel
      # @param how [String] sent, fitted or came_back
      # @param on [Date, nil] the day on which it was put in; today where nobody says
      # @return [Models::Parcel]
      # @raise [NotFound] for another how
      # @raise [Refused] when it cannot be
      def self.call(parcel, how, by:, at:, on: nil)
        raise NotFound, "A parcel is sent, fitted, or comes back." unless %w[sent fitted came_back].include?(how)

        DB.transaction do
          parcel.lock!
          next parcel if parcel.state == how
          raise Refused, "This parcel is #{parcel.state_words}." if parcel.state != (how == "sent" ? "packed" : "sent")

          new(parcel, by, at).call(how, on)
        end
      end

      # What was sent so long ago and of which nobody said anything is taken to be fitted.
      # @return [Integer] parcels
      def self.fitted_by_now(at:)
        days = Policies.now["parcel_fitted_days"]
        sent = Models::Parcel.where(state: "sent").where(Sequel[:sent_at] <= at - (days * 86_400))
        sent.order(:id).all.count do |parcel|
          call(parcel, "fitted", on: Config::Zone.date(parcel.sent_at) + days, at: at,
            by: Models::Person.with_pk!(parcel.packed_by))
        end
      end

      def initialize(parcel, by, at)
        @parcel = parcel
        @by = by
        @at = at
      end

      def call(how, on)
        send(how, on || Config::Zone.date(@at))
        History.note(how.tr("_", " "), @parcel, by: @by, at: @at)
        @parcel
      end

      private

      def sent(_on)
        @parcel.update(state: "sent", sent_at: @at)
      end

      def fitted(on)
        places = @parcel.fitted.to_hash.transform_values(&:to_i)
        FitAtHome.call(@parcel.machine, places, on: on, by: @by, at: @at) if @parcel.machine && places.any?
        @parcel.update(state: "fitted", ended_on: on)
      end

      # Its bill is taken back, and the parts with it.
      def came_back(on)
        CreditBill.call(@parcel.bill, reason: "the parcel came back", by: @by, at: @at)
        @parcel.update(state: "came_back", ended_on: on)
      end
    end
  end
end
