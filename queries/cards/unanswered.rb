# frozen_string_literal: true

module UprightBench
  module Queries
    # Who did not answer the last card there is for a task: a line a customer, the longest ago first.
    class Unanswered
      PAGE = 100
      Row = Struct.new(:customer_id, :name, :phone, :last_on, :cards, :tasks, keyword_init: true)

      # @param book [Services::DueBook]
      # @return [Array<Row>] at most PAGE
      def self.call(book)
        id = Sequel[:customers][:id]
        book.unanswered.join(:customers, id: Sequel[:machines][:customer_id])
          .group(id).order(Sequel.function(:max, :carded_on), id).limit(PAGE)
          .naked.select(*columns).map { |row| Row.new(**row) }
      end

      def self.columns
        [Sequel[:customers][:id].as(:customer_id), Sequel[:customers][:name], Sequel[:customers][:phone],
         Sequel.function(:max, :carded_on).as(:last_on), Sequel.function(:max, :attempts).as(:cards),
         Sequel.function(:count).*.as(:tasks)]
      end
      private_class_method :columns
    end
  end
end
