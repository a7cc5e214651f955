# frozen_string_literal: true

module UprightBench
  module Screens
    module LookOver
      # What was recorded at one position. What may be recorded depends on the kind of part, so the contract is built
      # from the core's table; lengths come in the shop's unit, or in the one written behind them.
      class FindingForm < Form
        VERDICTS = Core::Findings::VerdictKind::KEYS.map(&:to_s).freeze
        UUID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/

        attr_reader :position

        # @return [Hash{Symbol=>String}] measure => the number that was probably meant, as it is typed
        attr_reader :meant

        # @param job [Models::Job]
        # @param params [Hash]
        # @param policy [Core::Findings::Policy]
        # @raise [Services::NotFound] when the job's sheet has no such position
        def self.of(job, params, policy)
          unless job.sheet.position?(params["position"].to_s)
            raise Services::NotFound, "Job #{job.number} has no place of that name."
          end

          new(params, job.sheet.position(params["position"]), policy)
        end

        # What was observed, as it would be typed.
        # @return [Hash{Symbol=>Object}]
        def self.written(position, observed, unit:)
          fields = position.kind_of_part.fields
          observed.to_h do |name, value|
            [name, value && fields[name] ? fields.fetch(name).typed(value, unit: unit) : value]
          end
        end

        def self.build(fields)
          Class.new(Contract) do
            params do
              required(:version).filled(:integer, gteq?: 0)
              optional(:verdict).maybe(:string, included_in?: VERDICTS)
              optional(:request_key).maybe(:string, format?: UUID)
              fields.each { |name, field| FindingForm.add(self, name, field) }
            end
          end.new
        end

        # What each type of field takes.
        TAKES = {
          scale: ->(field) { [:integer, { included_in?: field.options }] },
          choice: ->(field) { [:string, { included_in?: field.options }] },
          flag: ->(_) { [:bool, {}] }, measure: ->(_) { [:float, {}] },
          text: ->(_) { [:string, { max_size?: Core::Findings::Fields::Text::MOST_LETTERS }] }
        }.freeze

        def self.add(schema, name, field)
          type, limits = TAKES.fetch(field.type).call(field)
          schema.optional(name).maybe(type, **limits)
        end

        # Built once, when the application starts: building one takes longer than saving a finding may.
        CONTRACTS = Core::Kinds::ALL.transform_values { |kind| build(kind.fields) }.freeze

        def initialize(typed, position, policy)
          @position = position
          @unit = policy.length_unit
          @meant = {}
          super(typed)
          doubt
        end

        # @return [Hash] observed, verdict, version and request_key, as Services::RecordFinding takes them
        def finding
          observed = values.slice(*fields.keys).compact.reject { |_, value| value == false }
          { observed: observed.transform_values { |value| whole(value) }, verdict: values[:verdict]&.to_sym,
            version: values[:version],
            request_key: values[:request_key] }
        end

        private

        def fields
          @position.kind_of_part.fields
        end

        def measures
          fields.select { |_, field| field.type == :measure }
        end

        def checked(typed)
          numbers = measures.to_h { |name, field| [name.to_s, number(typed[name.to_s], field)] }.compact
          CONTRACTS.fetch(@position.kind).call(typed.merge(numbers))
        end

        # What cannot be read stays as it was typed, and is refused by the contract.
        def number(text, field)
          return unless text.is_a?(String)
          return Core::Units::Length.parse(text, unit: @unit) || text if field.length? && !text.strip.empty?

          text.match?(/\A\s*-?\d+,\d+\s*\z/) ? text.tr(",", ".") : text # half of the world writes 3,5
        end

        # A number that is not likely here was measured in another unit, or at another place.
        def doubt
          measures.each do |name, field|
            next if errors.key?(name) || !values[name].is_a?(Float)

            problem = Core::Findings::Likely.new(@position, name, unit: @unit).problem(values[name]) or next
            add(name => [problem.words])
            @meant[name] = field.typed(problem.meant, unit: @unit) if problem.meant
          end
        end

        def whole(value)
          value.is_a?(Float) && value == value.to_i ? value.to_i : value
        end
      end
    end
  end
end
