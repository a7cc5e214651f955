# frozen_string_literal: true

module UprightBench
  module Services
    # Looks through all seals of the history: is each made of the one before it and of what stands in its event, is none
    # missing, and is every event sealed?
    class VerifySeals
      AT_ONCE = 5000
      MOST_TOLD = 50
      FRESH_SECONDS = 300 # an event of just now need not be sealed yet

      # @!attribute sealed [Integer] events whose seal holds
      # @!attribute forgotten [Integer] of them, those whose detail is gone with somebody who was forgotten
      # @!attribute problems [Array<String>] at most MOST_TOLD
      # @!attribute last [String] the newest seal, in hex: written down elsewhere, it shows a history that was made anew
      Answer = Struct.new(:sealed, :forgotten, :problems, :last, keyword_init: true)

      # @return [Answer]
      def self.call(at:)
        new(at).call
      end

      def initialize(at)
        @at = at
        @before = Core::Access::Seal::FIRST
        @number = 0
        @answer = Answer.new(sealed: 0, forgotten: 0, problems: [])
      end

      def call
        seals.paged_each(rows_per_fetch: AT_ONCE) { |row| look_at(row) }
        unsealed.each { |id| say("Event #{id} has no seal.") }
        @answer.last = @before.unpack1("H*")
        @answer
      end

      private

      def seals
        DB[:event_seals].left_join(SealedEvents.facts.as(:facts), { id: Sequel[:event_seals][:event_id] })
          .select_all(:facts).select_append(*%i[number event_id salt detail_digest seal]
            .map { |name| Sequel[:event_seals][name] }).order(:number)
      end

      def unsealed
        DB[:events].exclude(id: DB[:event_seals].select(:event_id)).where(Sequel[:at] < @at - FRESH_SECONDS)
          .order(:id).limit(MOST_TOLD).select_map(:id)
      end

      def look_at(row)
        say("Seal #{@number + 1} is missing.") if row[:number] != @number + 1
        @number = row[:number]
        holds(row) if there?(row)
        @before = row[:seal].to_s.b
      end

      def there?(row)
        return true if row[:id]

        say("Event #{row[:event_id]}, of seal #{row[:number]}, is gone.")
        false
      end

      def holds(row)
        return say(changed(row)) unless Core::Access::Seal.next(@before, row, detail(row)) == row[:seal].to_s.b

        @answer.sealed += 1
        @answer.forgotten += 1 if row[:salt].nil?
      end

      # Of one that was forgotten the digest is left, and nothing else may stand there.
      def detail(row)
        return Core::Access::Seal.detail(row[:salt].to_s, row[:detail]) if row[:salt]

        row[:detail] == "{}" ? row[:detail_digest].to_s.b : ""
      end

      def changed(row)
        "Event #{row[:event_id]}, “#{row[:verb]}”, is not as it was when it was sealed (seal #{row[:number]})."
      end

      def say(problem)
        @answer.problems << problem if @answer.problems.size < MOST_TOLD
      end
    end
  end
end
