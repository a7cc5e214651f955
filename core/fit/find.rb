# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # Which parts fit a position of a machine, best first, and which only look as if they did?
      #
      #   Find.new(position:, machine:, parts:, rules:, wants:).call  # => Answer
      #
      # A part fits when a rule speaks for this very machine (listed for the model; or it took the place of a part that
      # is listed; or listed for the family) and nothing in Stops speaks against it. Where nothing is listed, a part of
      # the right size is offered as a guess that must be tried.
      class Find
        EVIDENCE = { model: 0, successor: 1, family: 2, measure: 3 }.freeze # strongest first
        Ground = Struct.new(:level, :rule, :through, :steps)
        GUESS = Ground.new(:measure).freeze

        # @param position [Sheets::Position]
        # @param machine [Machine]
        # @param parts [Array<Part>] with all that they took the place of
        # @param rules [Array<Rule>]
        # @param wants [Wants]
        # @param fitted [Part, nil] what sits there now
        # @param in_vain [Hash{Integer=>String}] part's id => why it did not fit when it was tried here
        # @param partner [Sheets::Position, nil] the place that must never be left empty when this one is filled
        def initialize(position:, machine:, parts:, rules:, wants: Wants.new, fitted: nil, partner: nil,
          in_vain: {})
          @position = position
          @machine = machine
          @parts = parts
          @rules = rules.select { |rule| rule.position == position.key }.group_by(&:part_id)
          @wants = wants
          @fitted = fitted
          @partner = partner
          @in_vain = in_vain
          @grounds = {} # by part's id, as each is asked for several times
          @stopped = {}
          @size = ByMeasure.new(position.kind, position.measures)
          ask
        end

        # @return [Answer]
        def call
          fitting, others = fitting_and_others
          candidates = fitting.map { |part| @reasons.candidate(part, ground(part) || GUESS) }
            .sort_by { |candidate| order(candidate) }
          Answer.new(candidates: candidates, near_misses: others.filter_map { |part| near_miss(part) },
            nothing: (nothing_fits if candidates.empty?), together: (together if @partner))
        end

        private

        # What is listed; where nothing is, what has the size.
        # @return [Array(Array<Part>, Array<Part>)]
        def fitting_and_others
          listed = @parts.partition { |part| ground(part) && stops(part).empty? }
          return listed if listed.first.any?

          @parts.partition { |part| @size.fits?(part) && stops(part).empty? }
        end

        def ask
          @lineage = Lineage.new(@parts)
          @stops = Stops.new(@position, @machine, @lineage, @in_vain)
          @reasons = Reasons.new(position: @position, machine: @machine, wants: @wants, lineage: @lineage, size: @size,
            fitted: @fitted)
        end

        # @return [Ground, nil] the strongest
        def ground(part)
          @grounds.fetch(part.id) do
            @grounds[part.id] = [own_ground(part), inherited_ground(part)]
              .compact.min_by { |found| EVIDENCE.fetch(found.level) }
          end
        end

        def own_ground(part)
          rule = strongest(speaking(part))
          rule && Ground.new(rule.level(@machine), rule)
        end

        def inherited_ground(part)
          before, steps = @lineage.before(part).find { |older, _| speaking(older).any? }
          before && Ground.new(:successor, strongest(speaking(before)), before, steps)
        end

        def strongest(rules)
          rules.min_by { |rule| EVIDENCE.fetch(rule.level(@machine)) }
        end

        def speaking(part)
          named_here(part).select { |rule| rule.body_style?(@machine) && rule.serial_number?(@machine) }
        end

        def named_here(part)
          @rules.fetch(part.id, []).select { |rule| rule.level(@machine) }
        end

        def stops(part)
          @stopped[part.id] ||= begin
            rules = named_here(part)
            rules = @lineage.before(part).flat_map { |older, _| named_here(older) } if rules.empty?
            @stops.call(part, rules)
          end
        end

        # In warranty, or where the shop has it so, a pattern part after the maker's own; what the customer asked for,
        # and what holds back no less than what sits there, before how it is listed, the shelf and the price.
        def order(candidate)
          part = candidate.part
          [pattern_last?(part) ? 1 : 0, @reasons.want(part) ? 0 : 1, like_for_like?(part) ? 0 : 1,
           EVIDENCE.fetch(candidate.evidence), part.on_shelf? ? 0 : 1,
           part.cents_a_month || Float::INFINITY, part.number]
        end

        def like_for_like?(part)
          FilterClass.as_good?(part.filter_class, @fitted&.filter_class)
        end

        def pattern_last?(part)
          part.pattern && (@wants.in_warranty || @wants.makers_first)
        end

        def near_miss(part)
          NearMiss.new(part: part, reasons: stops(part) + not_listed(part)) if alike?(part)
        end

        # A rule puts it, or what it took the place of, at this position somewhere; or it is about as large; or it was
        # tried.
        def alike?(part)
          @rules.key?(part.id) || @lineage.before(part).any? { |older, _| @rules.key?(older.id) } ||
            @size.near?(part) || @in_vain.key?(part.id)
        end

        def not_listed(part)
          return [] if ground(part)

          wrong = @size.near?(part) ? @size.wrong(part) : []
          wrong + [Reason.of(named_elsewhere?(part) ? :listed_elsewhere : :listed_nowhere)]
        end

        def named_elsewhere?(part)
          @rules.key?(part.id) && named_here(part).empty?
        end

        def nothing_fits
          Reason.of(:nothing_fits, place: @position.name.downcase, model: @machine.model)
        end

        def together
          Reason.of(:together, place: @partner.name.downcase)
        end
      end
    end
  end
end
