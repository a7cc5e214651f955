# frozen_string_literal: true

module UprightBench
  module Services
    class FitFor
      # Reads only what could fit or look alike, each by an index.
      module InQuestion
        MOST_ALIKE = 20 # of about the same size, and listed for other models of the maker, for each place
        SIDES = Core::Fit::ByMeasure::SIDES

        module_function

        # Named at the places for the model, its family or another model of the maker; what took their place since; what
        # is of about the size; and what is asked for by itself.
        # @param places [Array<Core::Sheets::Position>]
        # @param also [Array<Integer>] ids of parts
        # @param reserved [Hash{Integer=>Integer}] part's id => pieces of other jobs
        # @return [Array<Core::Fit::Part>] with what of each is free
        def parts(sheet, places, also, reserved:)
          # All that begins with the maker and a space comes before what begins with the maker and an exclamation mark.
          ids = IDS.all(places: list(places.map(&:key), :text), model: sheet.title, family: sheet.family,
            from: "#{sheet.maker} ", till: "#{sheet.maker}!", sizes: sizes(places)).map { |row| row[:id] }
          Models::Part.with_shelf_of(ids | also).values.map { |part| part.to_core(reserved: reserved[part.id]) }
        end

        # All that speak of this model or its family; of those for others one is enough to know that there are some.
        # @return [Array<Core::Fit::Rule>]
        def rules(sheet, parts, places)
          RULES.all(parts: list(parts.map(&:id), :bigint), places: list(places, :text), model: sheet.title,
            family: sheet.family).map(&:to_core)
        end

        # @return [Array<Models::Misfit>] what was tried there in vain, as it was tried
        def misfits(sheet, places)
          MISFITS.all(model: sheet.title, places: list(places, :text))
        end

        def list(values, type)
          Sequel.pg_array(values.uniq, type)
        end

        def sizes(places)
          sized = places.filter_map { |place| size(place) if place.measures.slice(*SIDES).any? }
          Sequel.pg_jsonb(sized)
        end

        # @return [Hash{String=>Object}] its kind, what to go by first, and how large each side may be, mm
        def size(place)
          sides = place.measures.slice(*SIDES)
          size = Core::Fit::ByMeasure.new(place.kind, place.measures)
          sides.reduce({ "kind" => place.kind.to_s, "first" => sides.keys.first }) do |row, (side, wanted)|
            row.merge(side => wanted, "#{side}_least" => wanted - size.slack(side),
              "#{side}_most" => wanted + size.slack(side))
          end
        end

        # As the indexes have it.
        def measure(side)
          "CAST(parts.measures ->> '#{side}' AS numeric)"
        end

        # The nearest of about the size of each place, where one side is gone by first: by the index of that side.
        def near(side)
          others = (SIDES - [side]).map do |other|
            "AND (place.#{other} IS NULL OR #{measure(other)} BETWEEN place.#{other}_least AND place.#{other}_most)"
          end
          <<~SQL
            SELECT near.id FROM place, LATERAL (
              SELECT parts.id FROM parts WHERE parts.kind = place.kind AND place.first = '#{side}'
                AND #{measure(side)} BETWEEN place.#{side}_least AND place.#{side}_most #{others.join(' ')}
              ORDER BY abs(#{measure(side)} - place.#{side}), parts.id LIMIT #{MOST_ALIKE}) near
          SQL
        end
        private_class_method :list, :sizes, :size, :measure, :near

        # A maker's models are found between two words, since an index is of no use to a pattern that is filled in
        # later.
        NAMED = <<~SQL.freeze
          SELECT part_id FROM fit_rules WHERE position = ANY(:places) AND model_title = :model
          UNION SELECT part_id FROM fit_rules WHERE position = ANY(:places) AND family = :family
          UNION SELECT sister.part_id FROM unnest(CAST(:places AS text[])) AS asked (key), LATERAL (
            SELECT part_id FROM fit_rules WHERE position = asked.key AND model_title ~>=~ :from AND model_title ~<~ :till
            ORDER BY model_title USING ~<~ LIMIT #{MOST_ALIKE}) sister
        SQL
        NUMBERS = SIDES.product(["", "_least", "_most"]).map { |name| "#{name.join} numeric" }.join(", ").freeze
        IN_QUESTION = <<~SQL.freeze
          WITH RECURSIVE chain (id) AS (
            #{NAMED} UNION SELECT successor_id FROM parts JOIN chain USING (id) WHERE successor_id IS NOT NULL),
          place AS (SELECT * FROM jsonb_to_recordset(CAST(:sizes AS jsonb))
            AS place (kind text, first text, #{NUMBERS}))
          SELECT id FROM chain UNION #{SIDES.map { |side| near(side) }.join(' UNION ')}
        SQL
        # Their ids alone: joined to the parts, the planner expects so many that it reads all of a large shelf.
        IDS = Models::Prepared.new(:parts_in_question) do
          DB[IN_QUESTION, places: :$places, model: :$model, family: :$family, from: :$from, till: :$till,
            sizes: :$sizes]
        end
        RULES = Models::Prepared.new(:fit_rules_in_question) do
          rules = Models::FitRule.where(Sequel.lit("part_id = ANY(?) AND position = ANY(?)", :$parts, :$places))
          rules.where(Sequel.|({ model_title: :$model }, { family: :$family }))
            .union(rules.distinct(:part_id, :position).from_self, from_self: false)
        end
        MISFITS = Models::Prepared.new(:misfits_in_question) do
          Models::Misfit.of_model(:$model).where(Sequel.lit("position = ANY(?)", :$places)).order(:id)
        end
        private_constant :NAMED, :NUMBERS, :IN_QUESTION, :IDS, :RULES, :MISFITS
      end
    end
  end
end
