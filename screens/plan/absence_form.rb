# frozen_string_literal: true

module UprightBench
  module Screens
    module Plan
      # Somebody is away, from when till when.
      class AbsenceForm < Form
        takes do
          params do
            required(:away_id).filled(:integer, gt?: 0, lt?: Services::Lookup::BIGGEST_ID)
            required(:from).filled(:string, format?: Moments::TYPED)
            required(:till).filled(:string, format?: Moments::TYPED)
            optional(:reason).maybe(:string, max_size?: Services::TellAbsence::MOST_REASON)
          end

          rule(:from) { key.failure("is no such day") unless Moments.read(value) }
          rule(:till) { key.failure("is no such day") unless Moments.read(value) }
        end

        # @return [Hash{String=>Object}] from now till the end of the day
        def self.begun(now, policies)
          schedule = policies.schedule
          day = schedule.open_day(Config::Zone.date(schedule.open_from(now)))
          { "from" => Moments.write(now), "till" => Moments.write(schedule.stretches(day).last.last) }
        end

        # @return [Hash] as Services::TellAbsence takes it
        def fields
          { from: Moments.read(values[:from]), till: Moments.read(values[:till]), reason: values[:reason].to_s }
        end
      end
    end
  end
end
