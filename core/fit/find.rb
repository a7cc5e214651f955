# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # Which parts fit a position of a machine, best first, and which only look as if they did?
      #
      #   Find.new(position:, machine:, parts:, rules:, wants:).call  # => Answer
      #
      # A part is considered when a rule names this position for the model, its family or a sister model
      # of the family, or when it is of the position's kind and size. It fits when a rule speaks for this
      # very machine (model before family) and nothing in STOPS speaks against it.
      class Find
        EVIDENCE = { model: 0, family: 1 }.freeze # strongest first
        STOPS = %i[wrong_body_style wrong_plate wrong_attributes].freeze

        # @param position [Sheets::Position]
        # @param machine [Machine]
        # @param parts [Array<Part>]
        # @param rules [Array<Rule>]
        # @param wants [Wants]
        def initialize(position:, machine:, parts:, rules:, wants: Wants.new)
          @position = position
          @machine = machine
          @parts = parts
          @rules = rules.select { |rule| rule.position == position.key }.group_by(&:part_id)
          @wants = wants
        end

        # @return [Answer]
        def call
          fitting, others = @parts.partition { |part| best_rule(part) && stops(part).empty? }
          candidates = fitting.map { |part| candidate(part) }.sort_by { |one| order(one) }
          Answer.new(candidates: candidates, near_misses: others.filter_map { |part| near_miss(part) },
                     nothing: (nothing_words if candidates.empty?))
        end

        private

        def best_rule(part)
          @rules.fetch(part.id, []).select { |rule| rule.level(@machine) && rule.body_style?(@machine) && rule.plate?(@machine) }
                .min_by { |rule| EVIDENCE.fetch(rule.level(@machine)) }
        end

        def stops(part)
          STOPS.flat_map { |stop| send(stop, part) }
        end

        def wrong_body_style(part)
          rules = named_here(part)
          return [] if rules.empty? || rules.any? { |rule| rule.body_style?(@machine) }

          ["made for body style #{rules.map(&:body_style).uniq.join(' and ')}; this machine is a #{@machine.body_style}"]
        end

        def wrong_plate(part)
          rules = named_here(part).select { |rule| rule.body_style?(@machine) }
          return [] if rules.empty? || rules.any? { |rule| rule.plate?(@machine) }
          return ["fits certain plate numbers only, and this machine's plate is not recorded"] if @machine.plate.nil?

          ["fits plates #{rules.first.plate_from || 'up'} to #{rules.first.plate_to || 'now'}; this one is #{@machine.plate}"]
        end

        def wrong_attributes(part)
          @position.attributes.filter_map do |name, wanted|
            had = part.attributes.fetch(name, false)
            attribute_words(name.tr("_", " "), wanted, had) unless had == wanted
          end
        end

        def attribute_words(name, wanted, had)
          return had ? "has the #{name}, which is in the way here" : "has no #{name}, and is held by one here" if [true, false].include?(wanted)

          "#{name} is #{had || 'not stated'}; it must be #{wanted}"
        end

        def named_here(part)
          @rules.fetch(part.id, []).select { |rule| rule.level(@machine) }
        end

        def candidate(part)
          rule = best_rule(part)
          Candidate.new(part: part, evidence: rule.level(@machine),
                        reasons: [evidence_words(rule), attributes_held, want_words(part), pattern_words(part), shelf_words(part)].compact)
        end

        def evidence_words(rule)
          where = rule.level(@machine) == :model ? @machine.model : "the #{rule.family} family"
          style = rule.body_style ? ", body style #{rule.body_style}" : ""
          "listed for #{where}#{style}, #{@position.name.downcase}"
        end

        def attributes_held
          held = @position.attributes.select { |_, wanted| wanted == true }.keys
          "has the #{held.join(' and ').tr('_', ' ')}" if held.any?
        end

        def want_words(part)
          return "HEPA, wanted for the allergy" if @wants.allergy && hepa?(part)

          "charcoal, wanted for the smell" if @wants.smell && charcoal?(part)
        end

        def pattern_words(part)
          return unless part.pattern

          @wants.in_warranty ? "pattern part: may end the maker's warranty, the customer must agree by name" : "pattern part, not the maker's"
        end

        def shelf_words(part)
          part.on_shelf? ? "#{part.stock} on the shelf" : "none on the shelf"
        end

        def order(candidate)
          part = candidate.part
          [EVIDENCE.fetch(candidate.evidence), @wants.in_warranty && part.pattern ? 1 : 0, want_words(part) ? 0 : 1,
           part.on_shelf? ? 0 : 1, part.cents_a_month || Float::INFINITY, part.number]
        end

        def hepa?(part)
          !part.filter_class.nil?
        end

        def charcoal?(part)
          part.attributes["charcoal"] == true
        end

        # Looks alike: a rule puts it at this position somewhere in the family, or it has the same size.
        def near_miss(part)
          return unless looks_alike?(part)

          reasons = stops(part)
          reasons += ["listed for other models only"] if named_here(part).empty?
          NearMiss.new(part: part, reasons: reasons)
        end

        def looks_alike?(part)
          @rules.key?(part.id) || (part.kind == @position.kind && same_size?(part))
        end

        def same_size?(part)
          sizes = part.measures.keys & @position.measures.keys
          sizes.any? && sizes.all? { |key| part.measures[key] == @position.measures[key] }
        end

        def nothing_words
          "Nothing on file fits #{@position.name.downcase} of this #{@machine.model}: ask the maker by plate."
        end
      end
    end
  end
end
