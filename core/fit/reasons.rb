# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # Why a part fits, the strongest reason first.
      class Reasons
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
                      takes_out(part), last_of_its_kind(part), shelf(part)].compact)
        end

        # @return [Reason, nil] what this customer asked for and it has
        def want(part)
          if @wants.allergy && FilterClass.hepa?(part.filter_class)
            return Reason.of(:hepa, filter_class: part.filter_class)
          end

          Reason.of(:charcoal) if @wants.smell && part.attributes["charcoal"] == true
        end

        private

        def evidence(part, ground)
          case ground.level
          when :measure then Reason.of(:by_measure, sides: @size.sides(part))
          when :successor then successor(ground)
          else listed(ground.rule)
          end
        end

        def successor(ground)
          Reason.of(:successor, part: ground.through.name, number: ground.through.number,
            steps: (ground.steps if ground.steps > 1), listed: listed(ground.rule))
        end

        def listed(rule)
          by_model = rule.level(@machine) == :model
          Reason.of(rule.tried ? :tried : :listed, model: (@machine.model if by_model),
            family: (rule.family unless by_model),
            body_style: rule.body_style, place: @position.name.downcase)
        end

        def attributes_held
          held = @position.attributes.select { |_, wanted| wanted == true }.keys
          Reason.of(:has, attributes: held.map { |name| name.tr("_", " ") }) if held.any?
        end

        def pattern(part)
          Reason.of(@wants.in_warranty ? :pattern_in_warranty : :pattern) if part.pattern
        end

        def holds(part)
          return if part.contents.empty?

          Reason.of(:holds, contents: part.contents.map do |kind, pieces|
            Reason.of(:box_piece, pieces: pieces, kind: counted(kind.tr("_", " "), pieces))
          end)
        end

        # As in "bags" and "side brushes".
        def counted(kind, pieces)
          return kind if pieces == 1

          kind.end_with?("sh", "ch", "s") ? "#{kind}es" : "#{kind}s"
        end

        def goes_back(part)
          part.takes_out.empty? || @fitted&.takes_out == part.takes_out ? [] : part.takes_out
        end

        def takes_out(part)
          out = goes_back(part)
          Reason.of(:takes_out, parts: out.join(" and the ")) if out.any?
        end

        def last_of_its_kind(part)
          newest = @lineage.newest(part)
          Reason.of(:last_of_its_kind, part: newest.name, number: newest.number) if newest
        end

        def shelf(part)
          reserved = part.reserved if part.reserved.positive?
          return Reason.of(:on_shelf, stock: part.stock, reserved: reserved) if part.on_shelf?

          Reason.of(reserved ? :none_free_on_shelf : :none_on_shelf, reserved: reserved, lead_days: part.lead_days)
        end
      end
    end
  end
end
