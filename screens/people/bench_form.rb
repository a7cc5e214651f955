# frozen_string_literal: true

module UprightBench
  module Screens
    module People
      # When somebody works at the bench, and what they may do there.
      class BenchForm < Form
        SKILLS = Core::Bench::Skills::WORDS.keys.map(&:to_s).freeze

        takes do
          params do
            optional(:at_bench).maybe(:string)
            optional(:own_hours).maybe(:string)
            optional(:skills).maybe(:array) { each { str? & included_in?(SKILLS) } }
          end
        end

        # @param one [Models::Person]
        # @param shop_hours [Hash] that the fields begin with while they have none of their own
        def self.typed_from(one, shop_hours)
          { "at_bench" => ("1" if one.at_bench), "own_hours" => ("1" if one.bench_hours), "skills" => one.skills.to_a,
            "hours" => Settings::HoursFields.write(one.bench_hours&.to_h || shop_hours) }
        end

        def initialize(typed = {})
          super
          add(Settings::HoursFields.problems(typed["hours"])) if own_hours?
          add(open_hours: ["Fill in at least one day."]) if own_hours? && ok? && hours.empty?
        end

        def own_hours?
          value(:own_hours) == "1"
        end

        # @param day [String]
        # @return [Array<Array(String, String)>] from and to of each stretch, as typed
        def stretches(day)
          rows = value(:hours, day)
          (rows.is_a?(Hash) ? rows.values.grep(Hash) : []).map { |row| row.values_at("from", "to").map(&:to_s) }
        end

        # @return [Hash] as Services::Staff takes it
        def fields
          { at_bench: value(:at_bench) == "1", bench_hours: (hours if own_hours?), skills: values[:skills].to_a }
        end

        # @return [Array<String>]
        def skills
          Array(value(:skills))
        end

        private

        def hours
          Settings::HoursFields.read(typed["hours"])
        end
      end
    end
  end
end
