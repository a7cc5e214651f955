# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # How far gone a part was, as a share of what its interval allows: 0.25 hardly, 1.0 just right, 1.5 far gone;
      # and how far gone it should have been by the calendar. Both are kept with the finding: what is learned about
      # a household later is drawn from them.
      module Wear
        LEAST = 0.25
        MOST = 1.5
        MOST_EXPECTED = 1.5 # long overdue is no more than far gone
        TURNING = { "free" => 0.5, "drags" => 1.0, "stuck" => 1.5 }.freeze # house rule

        module_function

        # @param position [Sheets::Position]
        # @param observed [Hash{Symbol=>Object}]
        # @param policy [Policy]
        # @return [Float, nil] nil where nothing was measured that tells it
        def found(position, observed, policy: Policy.new)
          share = share_of(position, observed, policy)
          share && share.to_f.clamp(LEAST, MOST).round(2)
        end

        def share_of(position, observed, policy)
          case position.kind
          when :filter then filter(observed)
          when :bag then percent(observed[:fill_percent],
            position.measures["change_at_percent"] || policy.bag_limit_percent)
          when :bin then percent(observed[:fill_percent], policy.bin_limit_percent)
          when :brush then worn(observed[:standout_mm], position.measures["new_standout_mm"])
          when :roll then TURNING[observed[:turns]]
          end
        end

        # @return [Boolean] whether it stands at the end of its scale: it may be further gone
        def at_least?(position, observed)
          case position.kind
          when :filter then observed[:indicator_percent].to_f >= 100 || observed[:grey] == ReadFilter::DARK
          when :bag, :bin then observed[:fill_percent].to_f >= 100
          when :brush then observed.fetch(:standout_mm, 1) <= 0
          when :roll then observed[:turns] == "stuck"
          else false
          end
        end

        # @return [Symbol, nil] which task it ages
        def action(position, observed)
          case position.kind
          when :filter then observed[:indicator_percent].nil? && position.washable? ? :wash : :replace
          when :bag, :brush then :replace
          when :bin, :roll then :clean
          end
        end

        # @param started_on [Date, nil]
        # @param due_on [Date, nil]
        # @param today [Date]
        # @param personal [Numeric] factor that the interval was divided by: it is compared with what it would be
        #   without
        # @param load [Numeric, nil] how far gone it was found on `load_on`
        # @return [Float, nil] how far gone it should be by its clock; nil while nothing says so
        def expected(started_on:, due_on:, today:, personal: 1, load: nil, load_on: nil)
          begun = load ? load_on : started_on
          return unless begun && due_on && due_on > begun

          gone = load.to_f + ((today - begun) / (due_on - begun).to_f * (1 - load.to_f) / personal)
          gone.clamp(0.0, MOST_EXPECTED).round(2)
        end

        # As dark as the reference is just right; a strip says it in percent.
        def filter(observed)
          percent(observed[:indicator_percent], 100) || percent(observed[:grey], ReadFilter::DARK)
        end

        def percent(value, limit)
          value && (value / limit.to_f)
        end

        def worn(standout, fresh)
          standout && fresh && ((fresh - standout) / fresh.to_f)
        end
        private_class_method :share_of, :filter, :percent, :worn
      end
    end
  end
end
