# frozen_string_literal: true

module UprightBench
  module Screens
    module LookOver
      # What was recorded at one position. What may be recorded depends on the kind of part, so the contract is built
      # from the core's table.
      class FindingForm < Form
        MARKS = Core::Findings::Verdict::MARKS.map(&:to_s).freeze

        attr_reader :position

        # @param job [Models::Job]
        # @param params [Hash]
        # @raise [Services::NotFound] when the job's sheet has no such position
        def self.of(job, params)
          raise Services::NotFound, "Job #{job.number} has no place of that name." unless job.sheet.position?(params["position"].to_s)

          new(params, job.sheet.position(params["position"]))
        end

        def self.contract_for(kind)
          @contracts ||= {}
          @contracts[kind] ||= build(Core::Findings::KINDS.fetch(kind))
        end

        def self.build(fields)
          Class.new(Contract) do
            params do
              required(:version).filled(:integer, gteq?: 0)
              optional(:mark).maybe(:string, included_in?: MARKS)
              fields.each { |name, field| FindingForm.add(self, name, field) }
            end
          end.new
        end

        def self.add(schema, name, field)
          case field[:type]
          when :scale then schema.optional(name).maybe(:integer, included_in?: field[:values])
          when :choice then schema.optional(name).maybe(:string, included_in?: field[:values])
          when :flag then schema.optional(name).maybe(:bool)
          when :measure then schema.optional(name).maybe(:float, gteq?: field[:range].begin, lteq?: field[:range].end)
          end
        end

        def initialize(typed, position)
          @position = position
          super(typed)
        end

        # @return [Hash] observed, mark and version, as Services::RecordFinding takes them
        def finding
          observed = values.slice(*Core::Findings::KINDS.fetch(position.kind).keys).compact.reject { |_, value| value == false }
          { observed: observed.transform_values { |value| whole(value) }, mark: values[:mark]&.to_sym, version: values[:version] }
        end

        private

        def checked(typed)
          self.class.contract_for(position.kind).call(typed.transform_values { |text| comma_to_point(text) })
        end

        # Half of the world writes 3,5.
        def comma_to_point(text)
          text.is_a?(String) && text.match?(/\A\s*-?\d+,\d+\s*\z/) ? text.tr(",", ".") : text
        end

        def whole(value)
          value.is_a?(Float) && value == value.to_i ? value.to_i : value
        end
      end
    end
  end
end
