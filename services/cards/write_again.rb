# frozen_string_literal: true

module UprightBench
  module Services
    # Customers who did not answer the last card are chosen again: what they were written about may be on a card today.
    module WriteAgain
      module_function

      # @param customer_ids [Array<Integer>]
      # @return [Integer] customers
      def call(customer_ids, by:, at:)
        Permissions.check!(:send_cards, by)
        DB.transaction do
          dues = unanswered(customer_ids, Config::Zone.date(at))
          Models::Due.where(id: dues.map(&:first)).update(snoozed_until: Config::Zone.date(at))
          chosen = Models::Customer.where(id: dues.map(&:last).uniq).order(:id).all
          chosen.each { |customer| History.note("written to again", customer, by: by, at: at) }
          chosen.size
        end
      end

      # @return [Array<Array(Integer, Integer)>] due and customer
      def unanswered(customer_ids, today)
        DueBook.new(today: today).unanswered.where(Sequel[:machines][:customer_id] => customer_ids)
          .where(Sequel[:dues][:carded_on] < today).select_map([Sequel[:dues][:id], Sequel[:machines][:customer_id]])
      end
    end
  end
end
