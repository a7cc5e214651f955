# frozen_string_literal: true

module UprightBench
  module Services
    # Rounds of practice: a machine with hidden faults stands there with its complaint, each check costs its minutes and
    # answers as a real machine would. Everybody's are their own.
    module Practice
      MOST_FAULTS = 2

      module_function

      # @param sheet_id [Integer] of a model
      # @param complaint [String] a key of Core::Faults::Complaints
      # @param faults [Integer] how many are hidden
      # @return [Models::PracticeRound]
      def begin(sheet_id, complaint, faults:, by:, at:, seed: SecureRandom.random_number(2**31))
        sheet = Lookup.one(:sheet, sheet_id)
        raise NotFound, "There is no such complaint." unless Core::Faults::Complaints::BY_KEY.key?(complaint.to_sym)

        search = Core::Faults::PlanSearch.new(sheet.to_core, complaint.to_sym).call
        Models::PracticeRound.create(person_id: by.id, sheet_version_id: sheet.current_version_id, complaint: complaint,
          hidden: Sequel.pg_array(hide(search, faults.clamp(1, MOST_FAULTS), Random.new(seed)), :text), seed: seed,
          begun_at: at)
      end

      # Something is always wrong.
      def hide(search, faults, random)
        chance = -> { random.rand }
        20.times do
          hidden = Core::Faults::Simulated.draw(search, chance, faults: faults).faults
          return hidden if hidden.any?
        end
        [search.causes.max_by(&:weight).key]
      end

      # @param id [Integer] of a round
      # @param key [String] of a check
      # @param unplugged [Boolean] whether the machine was without power
      # @raise [Refused] when the round is over
      def check(id, key, unplugged:, by:, at:)
        DB.transaction do
          round = own(id, by, lock: true)
          raise Refused, "This round is over." if round.ended_at

          check = round.search.checks.find { |one| one.key == key } || raise(NotFound, "There is no such check.")
          Models::PracticeCheck.dataset.insert_conflict.insert(practice_round_id: round.id, check_key: key,
            result: answer(round, check).to_s, unplugged: unplugged, done_at: at)
        end
      end

      # The same check of the same round answers the same.
      def answer(round, check)
        random = Random.new(round.seed ^ Zlib.crc32(check.key))
        Core::Faults::Simulated.new(round.hidden.to_a, -> { random.rand }).answer(check)
      end

      # @param cause [String] what it is taken to be
      # @return [Models::PracticeRound]
      def name(id, cause, by:, at:)
        DB.transaction do
          round = own(id, by, lock: true)
          next round if round.ended_at
          raise NotFound, "There is no such cause." if round.search.causes.none? { |one| one.key == cause }

          debrief = Core::Faults::Debrief.new(round.search, round.results, round.hidden.to_a)
          round.update(named: cause, ended_at: at, minutes: debrief.minutes, best_minutes: debrief.best_on_average,
            hindsight_minutes: debrief.with_hindsight)
        end
      end

      # @raise [NotFound] for somebody else's
      def own(id, by, lock: false)
        rounds = Models::PracticeRound.where(id: id.clamp(0, Lookup::BIGGEST_ID), person_id: by.id)
        (lock ? rounds.for_update : rounds).first || raise(NotFound, "There is no such round.")
      end
      private_class_method :hide, :answer
    end
  end
end
