# frozen_string_literal: true

module UprightBench
  module Services
    # The other way round: which models a part fits, by its own rules and by those of the parts it took the place of.
    module FitsOf
      MOST = 400
      Fit = Struct.new(:rule, :through, keyword_init: true)

      # @param part [Models::Part]
      # @return [Array<Fit>] `through` is nil for its own rules
      def self.call(part)
        before = lineage(part)
        rules = Models::FitRule.where(part_id: [part.id, *before.map(&:id)]).order(:model_title, :family, :position)
          .limit(MOST).all
        named = before.to_h { |part| [part.id, part] }
        rules.map { |rule| Fit.new(rule: rule, through: named[rule.part_id]) }.sort_by { |fit| fit.through ? 1 : 0 }
      end

      # @return [Array<Models::Part>] what it took the place of, however many steps back
      def self.lineage(part)
        before = Models::Part.join(:chain, id: :successor_id).select(Sequel[:parts][:id])
        chain = DB[:chain].with_recursive(:chain, Models::Part.where(successor_id: part.id).select(:id), before,
          args: [:id], union_all: false).select(:id)
        Models::Part.where(id: chain).exclude(id: part.id).order(:number).all
      end
      private_class_method :lineage
    end
  end
end
