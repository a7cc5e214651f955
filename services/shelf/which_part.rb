# frozen_string_literal: true

module UprightBench
  module Services
    # Which part will a due replacement take? What sits there now; else what mostly sits there in machines of the
    # model; else the maker's own that is listed for the model; else what fits best. Where that is no longer made, what
    # took its place.
    class WhichPart
      # What a part costs in a month of its life.
      A_MONTH = Sequel[:price_cents] / Sequel.function(:coalesce, :life_months, Core::Fit::Part::DEFAULT_LIFE_MONTHS)

      include Enumerable

      # @return [Hash{Integer=>Integer}] part that is no longer made => the newest that took its place
      def self.heirs
        next_one = Models::Part.exclude(successor_id: nil).select_hash(:id, :successor_id)
        Models::Part.where(discontinued: true, id: next_one.keys).select_map(:id)
          .to_h { |id| [id, newest(id, next_one)] }
      end

      # A chain that runs in a ring ends where it began.
      def self.newest(id, next_one)
        seen = [id]
        seen << next_one[seen.last] while next_one[seen.last] && !seen.include?(next_one[seen.last])
        seen.last
      end
      private_class_method :newest

      # @param rows [Array<Hash>] sheet_id, position, part_id (what sits there, or nil)
      def initialize(rows)
        @rows = rows
        @heirs = self.class.heirs
      end

      # @yieldparam part_id [Integer]
      # @yieldparam row [Hash]
      def each
        @rows.each do |row|
          part_id = row[:part_id] || usual[[row[:sheet_id], row[:position]]]
          yield @heirs.fetch(part_id, part_id), row if part_id
        end
      end

      private

      def usual
        @usual ||= begin
          asked = @rows.select { |row| row[:part_id].nil? }.map { |row| [row[:sheet_id], row[:position]] }.uniq
          known = mostly_fitted(asked)
          known = listed(asked - known.keys).merge(known)
          known.merge(best(asked - known.keys))
        end
      end

      def mostly_fitted(asked) # rubocop:disable Metrics/AbcSize -- one query
        return {} if asked.empty?

        counted = Models::Fitting.in_place.join(:machines, id: :machine_id).exclude(part_id: nil)
          .where(Sequel[:machines][:sheet_id] => asked.map(&:first).uniq)
          .group(:sheet_id, :position, :part_id).select(:sheet_id, :position, :part_id,
            Sequel.function(:count).*.as(:count)).naked
        counted.order(:count, Sequel.desc(:part_id)).to_h { |row| [[row[:sheet_id], row[:position]], row[:part_id]] }
          .slice(*asked)
      end

      # What is listed without a condition, the cheapest a month first: all models at once, as one after the other
      # would take a minute in a shop of thousands.
      def listed(asked)
        return {} if asked.empty?

        found = listed_without_condition(asked.map(&:first).uniq)
          .distinct(Sequel[:sheets][:id], :position)
          .order(Sequel[:sheets][:id], :position, A_MONTH, Sequel[:listed][:number])
        found.naked.select_map([Sequel[:sheets][:id], :position, :part_id])
          .to_h { |sheet_id, position, part_id| [[sheet_id, position], part_id] }.slice(*asked)
      end

      def listed_without_condition(sheet_ids)
        parts = Models::Part.where(pattern: false, discontinued: false)
        rules = Models::FitRule.where(body_style: nil, serial_from: nil, serial_to: nil)
        title = Sequel.join([:maker, " ", :model_name])
        Models::Sheet.where(Sequel[:sheets][:id] => sheet_ids)
          .join(rules, { model_title: title }, table_alias: :rules)
          .join(parts, { id: Sequel[:rules][:part_id] }, table_alias: :listed)
      end

      # By the family, with what the place asks for: one model after the other. What only has the size is a guess, and
      # nothing is ordered on a guess.
      def best(asked)
        sheets = Models::Sheet.where(id: asked.map(&:first).uniq).to_hash(:id)
        of_a_family(asked).group_by(&:first).flat_map do |sheet_id, places|
          best_of(sheets.fetch(sheet_id), places.map(&:last))
        end.to_h
      end

      def of_a_family(asked) # rubocop:disable Metrics/AbcSize -- one query
        return [] if asked.empty?

        versions = Models::SheetVersion.select(:id, Sequel.lit("content ->> 'family'").as(:family))
        found = Models::Sheet.where(Sequel[:sheets][:id] => asked.map(&:first).uniq)
          .join(versions, { id: Sequel[:sheets][:current_version_id] }, table_alias: :versions)
          .join(:fit_rules, family: Sequel[:versions][:family])
        found.naked.distinct.select_map([Sequel[:sheets][:id], :position]) & asked
      end

      def best_of(sheet, places)
        core = sheet.to_core
        answers = FitFor.new(core, today: Date.new(0)).call(places.select { |place| core.position?(place) })
        answers.filter_map do |place, answer|
          sure = answer.candidates.find { |candidate| candidate.evidence != :measure }
          [[sheet.id, place], sure.part.id] if sure
        end
      end
    end
  end
end
