# frozen_string_literal: true

module UprightBench
  module Queries
    # What customers answered, the newest first; those that were recorded later stand where they belong.
    class RecentAnswers
      PAGE = 40
      Row = Struct.new(:id, :card_id, :customer, :kind, :note, :answered_at, keyword_init: true)

      # @param before [Integer, nil] an answer's id: only what is older
      # @return [Array<Row>] at most PAGE
      def self.call(before: nil)
        answers = Models::Answer.join(:cards, id: :card_id).join(:customers, id: Sequel[:cards][:customer_id])
        answers = answers.where(older_than(before)) if before
        answers.order(Sequel.desc(Sequel[:answers][:answered_at]), Sequel.desc(Sequel[:answers][:id])).limit(PAGE)
          .naked.select(*columns).map { |row| Row.new(**row) }
      end

      def self.older_than(id)
        Sequel.lit("(answers.answered_at, answers.id) < (SELECT answered_at, id FROM answers WHERE id = ?)", id)
      end
      private_class_method :older_than

      def self.columns
        [*%i[id kind note answered_at card_id].map { |name| Sequel[:answers][name] },
         Sequel[:customers][:name].as(:customer)]
      end
      private_class_method :columns
    end
  end
end
