# frozen_string_literal: true

module UprightBench
  module Services
    # Asks the core which parts fit positions of a machine: a handful of queries, however many positions and parts there
    # are.
    class FitFor
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
        parts = InQuestion.parts(@sheet, places, fitted.values + in_vain.values.flat_map(&:keys), reserved: reserved)
        rules = InQuestion.rules(@sheet, parts, keys)
        places.to_h do |place|
          [place.key, answer(place, parts, rules, fitted[place.key], in_vain.fetch(place.key, {}))]
        end
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
        tried = InQuestion.misfits(@sheet, keys).group_by(&:position)
        tried.transform_values { |misfits| misfits.to_h { |misfit| [misfit.part_id, misfit.reason] } }
      end

      def reserved
        @reserved ||= ReservedParts.for_others(except: @job)
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
