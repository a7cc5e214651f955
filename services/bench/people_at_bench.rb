# frozen_string_literal: true

module UprightBench
  module Services
    # Who works at the bench, when, and what they may do there. Two queries.
    class PeopleAtBench
      # @param bench [BenchAt] that counts the minutes
      # @param days [Range<Date>] that are planned
      # @param open [Core::Bench::Calendar] when the shop is open
      def initialize(bench, days:, open:, policies:)
        @bench = bench
        @days = days
        @open = open
        @policies = policies
      end

      # Where nobody works at the bench, whoever owns the shop works alone.
      # @return [Array<Core::Bench::Technician>] without those who are away for as long as is planned
      def call
        @call ||= begin
          there = people.filter_map { |person| technician(person) }
          there.empty? ? [Core::Bench::Technician.new(id: owner, calendar: @open)] : there
        end
      end

      # @return [Boolean] whether they are away right now
      def away?(person_id)
        absences.fetch(person_id, []).any? { |from, till| from <= 0 && till.positive? }
      end

      private

      def people
        @people ||= Models::Person.may_sign_in.where(at_bench: true).order(:id).naked.select(:id, :bench_hours, :skills)
          .all
      end

      def owner
        Models::Person.may_sign_in.where(role: "owner").order(:id).get(:id) || 0
      end

      def technician(person)
        calendar = calendar(person[:bench_hours], absences.fetch(person[:id], []))
        calendar && Core::Bench::Technician.new(id: person[:id], calendar: calendar,
          skills: person[:skills].map(&:to_sym))
      end

      # Whoever is there whenever the shop is open shares one calendar.
      def calendar(hours, away)
        return @open if hours.nil? && away.empty?

        left = Core::Bench::Stretches.without(hours ? stretches(hours) : @open.from.zip(@open.till), away)
        Core::Bench::Calendar.new(left) if left.any?
      end

      def stretches(hours)
        @bench.stretches(OpenHours.for(hours: hours.to_h, closed_days: @policies.closed_days,
          time_zone: Config::Zone.name), @days)
      end

      # @return [Hash{Integer=>Array<Array(Integer, Integer)>}] by person, in minutes
      def absences
        @absences ||= begin
          rows = Models::Absence.standing.where(Sequel[:till_at] > @bench.time(0))
            .select_map(%i[person_id from_at till_at])
          rows.group_by(&:first).transform_values do |mine|
            mine.map { |_, from, till| [@bench.minutes(from), @bench.minutes(till)] }
          end
        end
      end
    end
  end
end
