# frozen_string_literal: true

module UprightBench
  module Queries
    # All customers, page by page, in one of a few orders. By key, never by offset: an index leads to each page, however
    # many customers there are.
    class CustomerList
      PAGE = 40
      # what is sorted by => its columns, and whether the last comes first
      ORDERS = { "name" => [%i[name id], false], "name_down" => [%i[name id], true], "newest" => [%i[id], true],
                 "oldest" => [%i[id], false] }.freeze
      ADDRESS = %i[street town region postcode country].freeze
      Row = Struct.new(:id, :name, :phone, *ADDRESS, :fleet, :added_at, :machines, keyword_init: true)

      attr_reader :order, :fleets

      # @param order [Object] a key of ORDERS; by name when it is none
      # @param fleets [Boolean] fleets only
      # @param after [Integer] a customer's id: those that follow it; 0 from the beginning
      def initialize(order: nil, fleets: false, after: 0)
        @order = ORDERS.key?(order) ? order : "name"
        @fleets = fleets
        @after = after
      end

      # @return [Array<Row>] at most PAGE
      def rows
        @rows ||= page.naked.select(:id, :name, :phone, *ADDRESS, :fleet, Sequel[:created_at].as(:added_at),
          machines.as(:machines)).map { |row| Row.new(**row) }
      end

      # @return [Boolean] whether there may be more
      def more?
        rows.size == PAGE
      end

      private

      def page
        columns, down = ORDERS.fetch(@order)
        customers = Models::Customer.where(forgotten_on: nil)
          .order(*columns.map { |column| down ? Sequel.desc(column) : column }).limit(PAGE)
        customers = customers.where(fleet: true) if @fleets
        last = Models::Customer.where(id: @after).get(columns) if @after.positive?
        if last
          customers.where(Sequel.lit("(#{columns.join(', ')}) #{down ? '<' : '>'} ?", last))
        else
          customers
        end
      end

      def machines
        Models::Machine.where(customer_id: Sequel[:customers][:id]).select(Sequel.function(:count).*)
      end
    end
  end
end
