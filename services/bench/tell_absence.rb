# frozen_string_literal: true

module UprightBench
  module Services
    # Somebody who works at the bench is away, or comes after all. The plan is made anew.
    module TellAbsence
      MOST_REASON = 120

      module_function

      # @param person [Models::Person]
      # @param from [Time]
      # @param till [Time]
      # @param reason [String] why, if anybody wants to say
      # @return [Models::Absence]
      # @raise [Invalid] when it ends before it begins, or is over
      def call(person, from:, till:, by:, at:, reason: "")
        Permissions.check!(:work, by)
        raise Invalid, { till: ["has to be later than that they leave"] } unless till > from
        raise Invalid, { till: ["is over already"] } if till <= at

        DB.transaction do
          away = Models::Absence.create(person_id: person.id, from_at: from, till_at: till, told_at: at,
            told_by: by.id, reason: reason.strip[0, MOST_REASON].then { |text| text unless text.empty? })
          note("away", away, by, at)
        end
      end

      # @raise [Refused] when it was called off before
      def call_off(id, by:, at:)
        DB.transaction do
          away = Lookup.one(:absence, id).lock!
          raise Refused, "That was called off already." if away.called_off_at

          away.update(called_off_at: at, called_off_by: by.id)
          note("there after all", away, by, at)
        end
      end

      def note(verb, away, by, at)
        History.note(verb, away.person, by: by, at: at,
          data: { from: away.from_at.iso8601, till: away.till_at.iso8601, reason: away.reason }.compact)
        MakePlan.ask
        away
      end
      private_class_method :note
    end
  end
end
