# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # Why a part fits, in words, the strongest reason first.
      class Words
        def initialize(position:, machine:, wants:, lineage:, size:, fitted:)
          @position = position
          @machine = machine
          @wants = wants
          @lineage = lineage
          @size = size
          @fitted = fitted
        end

        # @param ground [Find::Ground]
        # @return [Candidate]
        def candidate(part, ground)
          Candidate.new(part: part, evidence: ground.level, goes_back: goes_back(part),
            reasons: [evidence(part, ground), attributes_held, want(part), pattern(part), holds(part),
                      upgrade(part), successor(part), shelf(part)].compact)
        end

        # @return [String, nil] what this customer asked for and it has
        def want(part)
          if @wants.allergy && FilterClass.hepa?(part.filter_class)
            return "HEPA (#{part.filter_class}), wanted for the allergy"
          end

          "charcoal, wanted for the smell" if @wants.smell && part.attributes["charcoal"] == true
        end

        private

        def evidence(part, ground)
          case ground.level
          when :measure then "by measure only (#{@size.words(part).join(', ')}): a guess that must be tried in place"
          when :successor then "takes the place of #{ground.through.name} " \
                               "(#{ground.through.number})#{steps(ground.steps)}, #{listed(ground.rule)}"
          else listed(ground.rule)
          end
        end

        def steps(count)
          count > 1 ? ", #{count} steps on" : ""
        end

        def listed(rule)
          where = rule.level(@machine) == :model ? @machine.model : "the #{rule.family} family"
          style = rule.body_style ? ", body style #{rule.body_style}" : ""
          "listed for #{where}#{style}, #{@position.name.downcase}"
        end

        def attributes_held
          held = @position.attributes.select { |_, wanted| wanted == true }.keys
          "has the #{held.join(' and ').tr('_', ' ')}" if held.any?
        end

        def pattern(part)
          return unless part.pattern

          if @wants.in_warranty
            "pattern part: may end the maker's warranty, the customer must agree by name"
          else
            "pattern part, not the maker's"
          end
        end

        def holds(part)
          return if part.contents.empty?

          each = part.contents.map { |kind, pieces| "#{pieces} #{kind.tr('_', ' ')}#{'s' if pieces > 1}" }
          "holds #{each.join(' and ')}"
        end

        def goes_back(part)
          part.takes_out.empty? || @fitted&.takes_out == part.takes_out ? [] : part.takes_out
        end

        def upgrade(part)
          out = goes_back(part)
          return unless out.any?

          "takes out the #{out.join(' and the ')}, which goes back to the customer labelled: never one on top of " \
            "the other"
        end

        def successor(part)
          newest = @lineage.newest(part)
          "the last of its kind: #{newest.name} (#{newest.number}) takes its place" if newest
        end

        def shelf(part)
          reserved = part.reserved.positive? ? " (#{part.reserved} reserved for others)" : ""
          return "#{part.stock} on the shelf#{reserved}" if part.on_shelf?

          "none #{'free ' if part.reserved.positive?}on the " \
            "shelf#{reserved}#{", #{part.lead_days} days to come" if part.lead_days}"
        end
      end
    end
  end
end
