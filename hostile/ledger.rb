# frozen_string_literal: true

require_relative "instance"

module Hostile
  # What was answered for, and what became of it: each thing has to be there, and once.
  class Ledger
    include UprightBench

    # @param parts [Array<Integer>] ids of those that were received
    # @param posted [Array<Integer>] ids of the customers who get a card
    def initialize(parts:, posted:)
      @parts = parts
      @posted = posted
      @did = Hash.new { |all, name| all[name] = [] }
      @lock = Mutex.new
    end

    # @param what [Symbol] take_in, find, receive, sell or agree
    # @param fact [Hash]
    def answered(what, **fact)
      @lock.synchronize { @did[what] << fact }
    end

    # @return [String] how many of each so far
    def so_far
      @lock.synchronize { @did.map { |name, facts| "#{name} #{facts.size}" }.join(", ") }
    end

    # @param batch [Models::Batch]
    # @return [Hash{String=>Array(Integer, Integer, Integer)}] answered for, lost, doubled
    def result(batch)
      { "take-ins" => take_ins, "findings" => findings, "parts received" => received, "bills" => sold,
        "agreements" => agreed, "cards" => cards(batch) }
    end

    private

    # @return [Array(Integer, Integer, Integer)] answered for, missing, twice
    def counted(facts, &)
      counts = facts.map(&)
      [facts.size, counts.count(&:zero?), counts.count { |count| count > 1 }]
    end

    # By key, and by the customer that each of them made.
    def take_ins
      made = Models::Customer.where(Sequel.like(:name, "Taken %")).group_and_count(:name).as_hash(:name, :count)
      keys = Models::Job.select_map(:request_key)
      counted(@did[:take_in]) { |fact| keys.include?(fact[:key]) ? made.fetch(fact[:name], 0) : 0 }
    end

    # The last one stands, and as many versions as there were saves.
    def findings
      last = @did[:find].group_by { |fact| fact[:job] }
        .transform_values { |facts| facts.max_by { |fact| fact[:version] } }
      saved = last.map { |job, fact| times_saved(job, fact) }
      [@did[:find].size, saved.count { |times| times < 1 } + refused_findings, saved.count { |times| times > 1 }]
    end

    def refused_findings
      @did[:find].count { |fact| fact[:as] != "taken" }
    end

    def times_saved(job, fact)
      kept = Models::Finding.first(job_id: job, position: "motor-filter")
      kept.nil? || kept.seen[:grey] != fact[:grey] ? 0 : kept.version - fact[:version] + 1
    end

    def received
      moved = Models::StockMove.where(kind: "received", part_id: @parts).exclude(request_key: nil)
        .group_and_count(:request_key).as_hash(:request_key, :count)
      sums = Models::StockMove.group(:part_id).select_hash(:part_id, Sequel.function(:sum, :pieces).as(:sum))
        .transform_values(&:to_i)
      count, lost, doubled = counted(@did[:receive]) { |fact| moved.fetch(fact[:key], 0) }
      [count, lost, doubled + Models::StockLevel.select_hash(:part_id, :pieces)
        .count { |part, pieces| sums.fetch(part) != pieces }]
    end

    # Each is billed and paid once, and took one piece; the numbers of all bills run without a gap.
    def sold
      bills = Models::Bill.select_hash(:request_key, :id)
      paid = of_bills(Models::Payment.dataset)
      taken = of_bills(Models::StockMove.where(kind: "sold"))
      count, lost, doubled = counted(@did[:sell]) do |fact|
        [paid, taken].map { |made| made.fetch(bills[fact[:key]], 0) }.then { |one, other| one == other ? one : 2 }
      end
      [count, lost + numbers_left_out, doubled]
    end

    def of_bills(rows)
      rows.exclude(bill_id: nil).group_and_count(:bill_id).as_hash(:bill_id, :count)
    end

    def numbers_left_out
      numbers = Models::Bill.select_map(:number)
      numbers.max - numbers.min + 1 - numbers.size
    end

    def agreed
      made = Models::Estimate.group_and_count(:job_id, :estimate_sent_id)
        .naked.to_h { |row| [row.values_at(:job_id, :estimate_sent_id), row[:count]] }
      counted(@did[:agree]) { |fact| made.fetch(fact.values_at(:job, :estimate), 0) }
    end

    # Each customer has one card that was handed over, and one mail lies in the drop.
    def cards(batch)
      handed = handed_over(batch)
      mails = Dir[File.join(Instance::FOLDER, "outbox/mail/*.eml")]
        .map { |file| File.read(file)[/^To: .*?(card\d+)@/, 1] }.compact.tally
      by_name = Models::Customer.where(id: @posted).select_hash(:id, :email)
      counted(@posted) do |id|
        [handed.fetch(id, 0), mails.fetch(by_name.fetch(id)[/\A\w+/], 0)]
          .then { |one, other| one == other ? one : [one, other].max + 1 }
      end
    end

    # @return [Hash{Integer=>Integer}] customer => cards that the database says were handed over
    def handed_over(batch)
      Models::Card.where(Sequel[:cards][:batch_id] => batch.id).join(:messages, card_id: :id)
        .where(Sequel[:messages][:state] => "handed_over").group_and_count(:customer_id).naked
        .as_hash(:customer_id, :count)
    end
  end
end
