# frozen_string_literal: true

module UprightBench
  module Services
    # Begins a batch of cards; the worker writes them and hands them over. Safe to press twice and from two places at
    # once: the second batch finds that the first has written to everybody.
    class SendCards
      # @param by [Models::Person]
      # @param at [Time]
      # @param until_on [Date, nil] cards that leave by then; today when left out
      # @param at_once [Boolean] all leave today, instead of each on its day
      # @param chosen [Array<Integer>, nil] only these customers
      # @param without [Array<Integer>] not these customers
      # @return [Models::Batch]
      # @raise [Invalid] when the owner's words cannot be filled in
      def self.call(by:, at:, until_on: nil, at_once: false, chosen: nil, without: [])
        Permissions.check!(:send_cards, by)
        Words.check
        DB.transaction do
          batch = Models::Batch.create(until_on: until_on || Config::Zone.date(at), at_once: at_once, created_by: by.id,
            created_at: at,
            chosen: chosen && Sequel.pg_array(chosen, :bigint),
            without: Sequel.pg_array(without, :bigint))
          WriteBatch::Work.enqueue(batch.id)
          History.note("began batch", batch, by: by, at: at,
            data: { until: batch.until_on, chosen: chosen&.size, without: without.size })
          batch
        end
      end
    end
  end
end
