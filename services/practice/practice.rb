# frozen_string_literal: true

module UprightBench
  module Services
    # Rounds of practice: a machine with hidden faults stands there with its complaint, each check costs its minutes and
    # answers as a real machine would. Everybody's are their own.
    module Practice
      MOST_FAULTS = 2
      KINDS = %w[sealed flow].freeze # of readings; plates are left to the real bench

      module_function

      # @param sheet_id [Integer] of a model
      # @param complaint [String] a key of Core::Faults::Complaints
      # @param faults [Integer] how many are hidden
      # @return [Models::PracticeRound]
      def begin(sheet_id, complaint, faults:, by:, at:, seed: SecureRandom.random_number(2**31))
        sheet = Lookup.one(:sheet, sheet_id)
        possible(complaint, sheet)
        search = Core::Faults::PlanSearch.new(sheet.to_core, complaint.to_sym).call
        Models::PracticeRound.create(person_id: by.id, sheet_version_id: sheet.current_version_id, complaint: complaint,
          hidden: Sequel.pg_array(hide(search, faults.clamp(1, MOST_FAULTS), Random.new(seed)), :text), seed: seed,
          begun_at: at)
      end

      def possible(complaint, sheet)
        known = Core::Faults::Complaints::BY_KEY[complaint.to_sym] or raise NotFound, "There is no such complaint."
        raise Refused, "A #{sheet.title} cannot have that: #{known.words}." unless known.possible?(sheet.to_core)
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

      # @param point [String] key of a station
      # @param kind [String] "sealed" or "flow"
      # @raise [Refused] when the round is over
      def read(id, point:, kind:, by:, at:, exhaust_off: false)
        DB.transaction do
          round = own(id, by, lock: true)
          raise Refused, "This round is over." if round.ended_at

          known = Core::Suction::Expected.points(round.sheet).include?(point) && KINDS.include?(kind)
          raise NotFound, "There is no such point." unless known

          where = { point: point, kind: kind, exhaust_off: exhaust_off }
          Models::PracticeReading.dataset.insert_conflict.insert(**where, practice_round_id: round.id, read_at: at,
            value: shown(round, where), minutes: Core::Suction::Expected.minutes_at(round.sheet, point,
              exhaust_off: exhaust_off))
        end
      end

      # The same reading of the same machine is the same.
      def shown(round, where)
        machine, hand = [round.seed, round.seed ^ Zlib.crc32(where.values.join("|"))].map do |seed|
          random = Random.new(seed)
          -> { random.rand }
        end
        Core::Suction::Hidden.new(round.sheet, round.hidden_causes, machine)
          .shows(where[:point], where[:kind].to_sym, hand, exhaust_off: where[:exhaust_off])
      end

      # The same check of the same round answers the same.
      def answer(round, check)
        random = Random.new(round.seed ^ Zlib.crc32(check.key))
        Core::Faults::Simulated.new(round.hidden.to_a, -> { random.rand }).answer(check)
      end

      # @param cause [String] what it is taken to be
      # @param remedy [String] of Core::Faults::Remedy::WORDS
      # @return [Models::PracticeRound]
      def name(id, cause, remedy:, by:, at:)
        DB.transaction do
          round = own(id, by, lock: true)
          next round if round.ended_at

          known(round, cause, remedy)
          debrief = Core::Faults::Debrief.new(round.search, round.results, round.hidden.to_a)
          round.update(named: cause, remedy: remedy, ended_at: at, best_minutes: debrief.best_on_average,
            minutes: debrief.minutes + round.reading_minutes, hindsight_minutes: debrief.with_hindsight)
        end
      end

      def known(round, cause, remedy)
        raise NotFound, "There is no such cause." if round.search.causes.none? { |one| one.key == cause }
        raise NotFound, "There is no such remedy." unless Core::Faults::Remedy::WORDS.key?(remedy.to_sym)
      end

      # @raise [NotFound] for somebody else's
      def own(id, by, lock: false)
        rounds = Models::PracticeRound.where(id: id.clamp(0, Lookup::BIGGEST_ID), person_id: by.id)
        (lock ? rounds.for_update : rounds).first || raise(NotFound, "There is no such round.")
      end
      private_class_method :hide, :answer, :shown, :known, :possible
    end
  end
end
