# frozen_string_literal: true

module UprightBench
  module Services
    # What a job costs as it stands, what was agreed, and how the two differ.
    module Quotes
      module_function

      # @param items [Array<Models::WorkItem>] with their parts
      # @param agreed [Models::Estimate, nil] whose prices hold for what was on it
      # @return [Core::Money::Estimate] of what is to do and what is done
      def of(job, items, agreed: nil, policy: Policies.now.money)
        held = agreed ? agreed.to_lines.to_h { |line| [line.key, line.net_cents] } : {}
        work = items.reject { |item| item.state == "left" || item.action == "refer" }.map { |item| work(job.sheet, item, held) }
        Core::Money::Quote.new(work: work, policy: policy).call
      end

      def work(sheet, item, held)
        work = Core::Money::Quote::Work.new(position: item.position, place: sheet.position(item.position).name.downcase, action: item.action,
                                            minutes: item.minutes, covered: item.covered)
        return work unless item.action == "replace" && item.part

        work.part_id = item.part_id
        work.part_name = item.part.name
        work.part_cents = held.fetch(work.key, item.part.price_cents)
        work
      end

      # @return [Models::Estimate, nil] the newest that was agreed
      def agreed(job)
        Models::Estimate.where(job_id: job.id).order(Sequel.desc(:version)).first
      end

      # @param agreed [Models::Estimate, nil]
      # @param quote [Core::Money::Estimate]
      # @return [Boolean] no other part and no more money than was agreed, or so little that the customer need not be called
      def within?(agreed, quote)
        return quote.total_cents.zero? if agreed.nil?

        same = (parts(quote.lines) - parts(agreed.to_lines)).empty? && quote.total_cents <= agreed.total_cents
        same || (!agreed.call_above_cents.nil? && quote.total_cents <= agreed.call_above_cents)
      end

      # @param items [Array<Models::WorkItem>] with their parts
      # @return [Array<String>] parts still to be fitted that may end the maker's warranty, while the machine is in it
      def ends_warranty(job, items, today:)
        pattern = items.select { |item| item.to_do? && item.action == "replace" && item.part&.pattern }
        pattern.empty? || !job.machine.warranty(today).in? ? [] : pattern.map { |item| item.part.name }
      end

      def parts(lines)
        lines.select { |line| line.kind == :part }.map(&:key)
      end
    end
  end
end
