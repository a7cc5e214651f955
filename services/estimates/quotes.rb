# frozen_string_literal: true

module UprightBench
  module Services
    # What a job costs as it stands, what was sent and agreed, and how they differ.
    module Quotes
      module_function

      # @param items [Array<Models::WorkItem>] with their parts
      # @param held [Models::Estimate, Models::EstimateSent, nil] whose prices hold for what was on it
      # @param earned [Earned::Free, nil] what a card earned, which goes by all of the job where `items` are only some
      # @return [Core::Money::Estimate] of what is to do and what is done
      def of(job, items, held: nil, earned: Earned.of(job, items), policies: Policies.now)
        prices = held ? held.to_lines.to_h { |line| [line.key, line.price_cents] } : {}
        Core::Money::Quote.new(work: works(job.sheet, items, prices), policy: policies.money,
          off_percent: job.discount_percent || 0, off_words: job.discount_reason,
          look_cents: look_cents(job, items, policies), **free(earned)).call
      end

      # For looking is charged where nothing is done, or beside the work where the shop has it so; what the maker pays
      # is work.
      # @return [Integer]
      def look_cents(job, items, policies)
        work = items.any? { |item| item.state != "left" && item.action != "refer" }
        work && policies["look_fee_with_work"] == "free" ? 0 : job.look_fee_cents
      end

      def works(sheet, items, prices)
        counted = items.reject { |item| item.state == "left" || item.action == "refer" }
        counted.each_with_index.map { |item, index| work(sheet, item, prices, counted.first(index)) }
      end

      # @return [Hash] the bench time that a card earned
      def free(earned)
        { free_minutes: earned&.minutes || 0, free_words: earned&.words }
      end

      def work(sheet, item, prices, before)
        work = Core::Money::Quote::Work.new(position: item.position, place: sheet.position(item.position).name.downcase,
          action: item.action, minutes: item.minutes, covered: item.covered)
        return work unless item.action == "replace" && item.part

        fit_part(work, item.part, prices)
        work.own = "from the box that is there already" if Boxes.more(sheet, item, before).zero?
        work
      end

      def fit_part(work, part, prices)
        work.part_id = part.id
        work.part_name = part.name
        work.tax_class = part.tax_class
        work.part_cents = prices.fetch(work.key, part.price_cents)
      end

      # @return [Models::Estimate, nil] the newest that was agreed
      def agreed(job)
        Models::Estimate.where(job_id: job.id).order(Sequel.desc(:version)).first
      end

      # @return [Models::EstimateSent, nil] the newest
      def sent(job)
        Models::EstimateSent.where(job_id: job.id).order(Sequel.desc(:version)).first
      end

      # What was agreed holds its prices for the job; what was only sent, until its day.
      # @return [Models::Estimate, Models::EstimateSent, nil]
      def held(job, today:, agreed: self.agreed(job))
        agreed || sent(job)&.then { |sent| sent if sent.stands?(today) }
      end

      # @param agreed [Models::Estimate, nil]
      # @return [Core::Money::Agreement]
      def agreement(agreed)
        return Core::Money::Agreement::NONE if agreed.nil?

        parts = agreed.to_lines.select { |line| line.kind == :part }.map(&:key)
        Core::Money::Agreement.new(part_keys: parts, **agreed.values.slice(:total_cents, :call_above_cents,
          :warranty_name))
      end

      # @param quote [Core::Money::Estimate]
      # @return [Boolean] the estimate says what the job comes to now
      def same?(sent, quote)
        sent.to_lines == quote.lines && sent.total_cents == quote.total_cents
      end

      # @param items [Array<Models::WorkItem>] with their parts
      # @return [Array<String>] what is still to do and may end the maker's warranty, while the machine is in it: parts
      #   of another maker, and opening what the owner's handbook leaves shut
      def ends_warranty(job, items, today:)
        risky = items.select(&:to_do?).filter_map { |item| warranty_words(job.sheet, item) }
        risky.empty? || !job.machine.warranty(today).in? ? [] : risky
      end

      def warranty_words(sheet, item)
        return if item.action == "refer"
        return item.part.name if item.action == "replace" && item.part&.pattern

        steps = Core::Strip::Ways.new(sheet).to([item.position])
        "opening #{sheet.position(item.position).name.downcase}" if steps.any?(&:beyond_handbook)
      end
    end
  end
end
