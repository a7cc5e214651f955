# frozen_string_literal: true

module UprightBench
  module Services
    # Asks the core which parts fit positions of a machine. Only what could fit or look alike is read, each by an index:
    # a handful of queries, however many positions and parts there are.
    class FitFor
      MOST_ALIKE = 20 # of about the same size, and listed for other models of the maker, for each place

      # Or the database walks all models in the order of the alphabet
      IN_INDEX_ORDER = Sequel.lit("model_title USING ~<~")

      # @param sheet [Core::Sheets::Sheet]
      # @param machine [Models::Machine, nil] nil asks for the model as such
      # @param today [Date]
      # @param job [Models::Job, nil] whose own reserved parts are free to it
      # @param reserved [Hash{Integer=>Integer}, nil] part's id => pieces of other jobs, when the caller has read them
      def initialize(sheet, machine = nil, today:, smell: false, job: nil, reserved: nil,
        policies: Policies.now)
        @sheet = sheet
        @machine = machine
        @job = job
        @reserved = reserved
        @wants = Core::Fit::Wants.new(allergy: machine&.allergy || false, smell: smell,
          in_warranty: machine&.warranty(today)&.in? || false, makers_first: policies["parts_first"] == "makers")
      end

      # @param keys [Array<String>] positions
      # @return [Hash{String=>Core::Fit::Answer}]
      def call(keys) # rubocop:disable Metrics/AbcSize -- what each reads, in order
        return {} if keys.empty?

        places = keys.map { |key| @sheet.position(key) }
        fitted = fitted_at(keys)
        in_vain = in_vain_at(keys)
        ids = (in_question(places) + fitted.values + in_vain.values.flat_map(&:keys)).uniq
        parts = parts_of(ids)
        rules = rules_for(ids, keys).map(&:to_core)
        places.to_h do |place|
          [place.key, answer(place, parts, rules, fitted[place.key], in_vain.fetch(place.key, {}))]
        end
      end

      # @return [Array<Core::Fit::Part>] with what of each is free for this job
      def parts_of(ids)
        reserved = @reserved || ReservedParts.for_others(except: @job)
        Models::Part.where(Sequel[:parts][:id] => ids).with_shelf.all
          .map { |part| part.to_core(reserved: reserved[part.id]) }
      end

      private

      # @return [Hash{String=>Integer}] position => id of the part that sits there
      def fitted_at(keys)
        return {} unless @machine

        Models::Fitting.in_place.where(machine_id: @machine.id, position: keys)
          .exclude(part_id: nil).select_hash(:position, :part_id)
      end

      # @return [Hash{String=>Hash{Integer=>String}}] position => part's id => why it did not fit when it was tried
      def in_vain_at(keys)
        tried = Models::Misfit.of_model(@sheet).where(position: keys).order(:id).all.group_by(&:position)
        tried.transform_values { |misfits| misfits.to_h { |misfit| [misfit.part_id, misfit.reason] } }
      end

      # All that speak of this model or its family; of those for others one is enough to know that there are some.
      def rules_for(ids, keys)
        rules = Models::FitRule.where(part_id: ids, position: keys)
        rules.where(Sequel.|(*[{ model_title: @sheet.title }, ({ family: @sheet.family } if @sheet.family)].compact))
          .union(rules.distinct(:part_id, :position).from_self, from_self: false)
      end

      # Named at these places for the model, its family or another model of the maker; what took their place since; and
      # what is of about the size.
      def in_question(places)
        following = Models::Part.join(:chain, id: :id).exclude(successor_id: nil).select(:successor_id)
        named = union(named_at(places.map(&:key)) + places.map { |place| sisters_at(place) })
        sized = places.filter_map { |place| sized(place) }
        chain = Models::Part.db[:chain].with_recursive(:chain, named, following, args: [:id], union_all: false)
          .select(:id)
        union([chain, *sized]).select_map(:id)
      end

      def union(datasets)
        datasets.map(&:from_self).reduce { |all, rows| all.union(rows, from_self: false) }.from_self
      end

      def named_at(keys)
        here = Models::FitRule.where(position: keys).select(Sequel[:part_id].as(:id))
        [here.where(model_title: @sheet.title), (here.where(family: @sheet.family) if @sheet.family)].compact
      end

      def sisters_at(place)
        here = Models::FitRule.where(position: place.key).select(Sequel[:part_id].as(:id))
        here.where(Sequel.like(:model_title, "#{here.escape_like(@sheet.maker)} %"))
          .order(IN_INDEX_ORDER).limit(MOST_ALIKE)
      end

      def sized(place)
        size = Core::Fit::ByMeasure.new(place.kind, place.measures)
        sides = place.measures.slice(*Core::Fit::ByMeasure::SIDES)
        return if sides.empty?

        sides.reduce(Models::Part.where(kind: place.kind.to_s)) do |parts, (side, wanted)|
          parts.of_about(side, wanted, size.slack(side))
        end
          .order(*sides.first(1).map { |side, wanted| Models::Part.off_by(side, wanted) }, :id).limit(MOST_ALIKE)
          .select(:id)
      end

      def answer(place, parts, rules, fitted_id, in_vain)
        Core::Fit::Find.new(position: place, parts: parts, rules: rules, wants: @wants,
          fitted: parts.find { |part| part.id == fitted_id },
          in_vain: in_vain,
          partner: place.never_without && @sheet.position(place.never_without),
          machine: Core::Fit::Machine.of(@sheet, serial_number: @machine&.serial_number)).call
      end
    end
  end
end
