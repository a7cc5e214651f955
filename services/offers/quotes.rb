# frozen_string_literal: true

module UprightBench
  module Services
    # What a job costs as it stands, what was offered and agreed, and how they differ.
    module Quotes
      module_function

      # @param items [Array<Models::WorkItem>] with their parts
      # @param held [Models::Estimate, Models::Offer, nil] whose prices hold for what was on it
      # @param whole [Array<Models::WorkItem>] all of the job, where `items` are only some: what a card earned goes by all
      # @return [Core::Money::Estimate] of what is to do and what is done
      def of(job, items, held: nil, whole: items, policies: Policies.now)
        prices = held ? held.to_lines.to_h { |line| [line.key, line.net_cents] } : {}
        counted = items.reject { |item| item.state == "left" || item.action == "refer" }
        work = counted.each_with_index.map { |item, at| work(job.sheet, item, prices, counted.first(at)) }
        earned = Earned.of(job, whole)
        Core::Money::Quote.new(work: work, policy: policies.money, free_minutes: earned&.minutes || 0, free_words: earned&.words,
                               off_percent: job.discount_percent || 0, off_words: job.discount_reason).call
      end

      def work(sheet, item, prices, before)
        work = Core::Money::Quote::Work.new(position: item.position, place: sheet.position(item.position).name.downcase, action: item.action,
                                            minutes: item.minutes, covered: item.covered)
        return work unless item.action == "replace" && item.part

        work.part_id = item.part_id
        work.part_name = item.part.name
        work.part_cents = prices.fetch(work.key, item.part.price_cents)
        work.own = "from the box that is there already" if Boxes.more(sheet, item, before).zero?
        work
      end

      # @return [Models::Estimate, nil] the newest that was agreed
      def agreed(job)
        Models::Estimate.where(job_id: job.id).order(Sequel.desc(:version)).first
      end

      # @return [Models::Offer, nil] the newest
      def offer(job)
        Models::Offer.where(job_id: job.id).order(Sequel.desc(:version)).first
      end

      # What was agreed holds its prices for the job; what was only offered, until its day.
      # @return [Models::Estimate, Models::Offer, nil]
      def held(job, today:, agreed: self.agreed(job))
        agreed || offer(job)&.then { |offer| offer if offer.stands?(today) }
      end

      # @param agreed [Models::Estimate, nil]
      # @param quote [Core::Money::Estimate]
      # @return [Boolean] no other part and no more money than was agreed, or so little that the customer need not be called
      def within?(agreed, quote)
        return quote.total_cents.zero? if agreed.nil?

        same = (parts(quote.lines) - parts(agreed.to_lines)).empty? && quote.total_cents <= agreed.total_cents
        same || (!agreed.call_above_cents.nil? && quote.total_cents <= agreed.call_above_cents)
      end

      # @param quote [Core::Money::Estimate]
      # @return [Boolean] the offer says what the job comes to now
      def same?(offer, quote)
        offer.to_lines == quote.lines && offer.total_cents == quote.total_cents
      end

      # @param items [Array<Models::WorkItem>] with their parts
      # @return [Array<String>] what is still to do and may end the maker's warranty, while the machine is in it: parts of
      #   another maker, and opening what the owner's handbook leaves shut
      def ends_warranty(job, items, today:)
        risky = items.select(&:to_do?).filter_map { |item| warranty_words(job.sheet.position(item.position), item) }
        risky.empty? || !job.machine.warranty(today).in? ? [] : risky
      end

      def warranty_words(place, item)
        return if item.action == "refer"
        return item.part.name if item.action == "replace" && item.part&.pattern

        "opening #{place.name.downcase}" if place.beyond_handbook
      end

      def parts(lines)
        lines.select { |line| line.kind == :part }.map(&:key)
      end
    end
  end
end
