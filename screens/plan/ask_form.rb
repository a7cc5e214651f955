# frozen_string_literal: true

module UprightBench
  module Screens
    module Plan
      # What somebody asks on the phone: which machine, what is to be done, and when they bring it.
      class AskForm < Form
        MOST_MINUTES = 600
        MOST_HOURS = Core::Drying::DryingTime::MOST_HOURS
        NOW = "now"
        USUAL_MINUTES = 30 # of a machine that nobody knows anything of (house rule)

        takes do
          params do
            optional(:machine_id).maybe(:integer, gt?: 0, lt?: Services::Lookup::BIGGEST_ID)
            optional(:sheet_id).maybe(:integer, gt?: 0, lt?: Services::Lookup::BIGGEST_ID)
            optional(:brought).maybe(:string, max_size?: 20)
            optional(:minutes).maybe(:integer, gteq?: 1, lteq?: MOST_MINUTES)
            optional(:drying_hours).maybe(:float, gteq?: 0, lteq?: MOST_HOURS)
          end

          rule(:brought) { key.failure("is no such day") if value && value != NOW && !Moments.read(value) }
        end

        # @return [Array(Integer, Integer)] ids of machine and model, nil where they are not named or make no sense
        def ids
          %i[machine_id sheet_id].map { |name| values[name] if errors_at(name).empty? }
        end

        # @return [Boolean] whether an answer is wanted
        def asked?
          !value(:brought).to_s.empty?
        end

        # @return [Time]
        def brought_at(now)
          values[:brought] == NOW ? now : Moments.read(values[:brought])
        end

        # @return [Array<Array(String, String)>] position and action
        def work
          Array(value(:work)).grep(String).map { |text| text.split(":", 2) }.select { |pair| pair.size == 2 }.uniq
        end

        # @return [Services::AskAhead::Rough]
        def rough
          Services::AskAhead::Rough.new(minutes: values[:minutes] || USUAL_MINUTES,
            drying_hours: values[:drying_hours] || 0)
        end
      end
    end
  end
end
