# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # What is printed for one job: the tag with the customer's slip, the tray labels, the filter labels, the estimate.
      class JobPapers
        # @param page [Queries::JobPage]
        # @param shop [Models::Shop]
        # @param words [#full_day, #full_moment] how values are written
        # @param now [Time]
        # @param policies [Services::Policies]
        # @param first [String, nil] as in Services::PaperLook
        def initialize(page, shop:, words:, now:, policies:, first: nil)
          @page = page
          @job = page.job
          @shop = shop
          @words = words
          @now = now
          @policies = policies
          @first = first
        end

        # The tag, and the slip for the customer, whose code opens the customer's page.
        # @return [String] PDF
        def tag
          tags = [Services::PrintedTags.tag(@job, today: today), slip]
          Papers::ClaimTag.new(shop: shop_line, tags: tags).render(**look)
        end

        # @return [String] PDF
        def trays
          TrayLabels.new(@page).paper.render(**look)
        end

        # @return [String] PDF
        # @raise [Services::Refused] when nothing was fitted
        def filter_labels
          labels = Queries::FilterLabels.new(@job).call
          if labels.empty?
            raise Services::Refused, "Nothing new was fitted in job #{@job.number}, so there is no label to print."
          end

          Papers::FilterLabel.new(shop: shop_line, labels: labels).render(**look)
        end

        # @return [String] PDF
        # @raise [Services::Refused] while the work is not finished
        def hand_over_slip
          refuse_unfinished

          slip = SlipPaper.new(@page, today: today, policies: @policies)
          Papers::HandOverSlip.new(shop: letterhead, number: @job.number, about: slip.about,
            date: @words.full_day(Config::Zone.date(@job.handed_over_at || @now)), parts: slip.parts,
            notes: [charged, *slip.notes(@words)].compact).render(**look)
        end

        def refuse_unfinished
          return if @job.closed_up_at || @job.ended_early? || @job.over?

          raise Services::Refused, "Job #{@job.number} is not closed up yet."
        end
        private :refuse_unfinished

        # As it was agreed, or as it was sent, or as it stands while neither is.
        # @return [String] PDF
        def estimate
          Papers::Estimate.new(shop: letterhead, number: @job.number, date: @words.full_day(dated),
            customer: @shop.address_of(@page.customer).lines, about: about, estimate: shown, taxes: taxes,
            money: @policies.currency.method(:words), notes: notes).render(**look)
        end

        private

        # @return [Hash] as Papers::Paper#render takes it
        def look
          Services::PaperLook.of(policies: @policies, shop: @shop, first: @first)
        end

        # @return [Array<String>] name, address, phone
        def letterhead
          [@shop.name, @words.postal_rest(@shop), @shop.phone]
        end

        # As it is on the bill: what was not done is not paid for.
        def charged
          cents = (@page.bill || @page.to_bill).total_cents
          return "Nothing is charged." if cents.zero? && @job.closed_up_at.nil?

          "#{@policies.currency.words(cents)}, tax included." if cents.positive?
        end

        def today
          Config::Zone.date(@now)
        end

        def shop_line
          "#{@shop.name}, #{@shop.phone}"
        end

        def slip
          { number: @job.number, code: Outbox::JobLink.of(@job),
            lines: [@page.sheet.title, "Scan to see how it is going", "See our estimate, agree to it, or ask us.",
                    "Bring this slip when you collect it."] }
        end

        def agreed
          @page.agreed
        end

        def sent
          @page.sent_estimate if @page.sent_estimate_current?
        end

        def shown
          agreed || sent || @page.quote
        end

        def dated
          Config::Zone.date(agreed&.agreed_at || sent&.sent_at || @now)
        end

        def about
          serial = @page.machine.serial_number
          [@page.sheet.title, ("Serial no. #{serial}" if serial), @job.complaint].compact
        end

        # Tax by rate, where the rates of today still make the sum that was agreed; else the sum alone.
        # @return [Hash{String=>Integer}] words => cents
        def taxes
          counted = Core::Money::Estimate.new(lines: shown.to_lines, policy: @policies.money)
          same = counted.tax_cents == shown.tax_cents && counted.total_cents == shown.total_cents
          same ? counted.taxes.transform_keys { |taxed_as| tax_words(taxed_as) } : { "tax" => shown.tax_cents }
        end

        def tax_words(taxed_as)
          own = @policies.tax_classes.to_h { |known| [known.key, known.name] }
          what = { "labour" => "bench time", "part" => "parts" }.merge(own).fetch(taxed_as, "parts")
          "tax on #{what}, #{@policies.money.percent(taxed_as)} %"
        end

        def notes
          return [ready, not_chosen, holds].compact unless agreed

          [ready, agreed_by, call_above, warranty].compact
        end

        def not_chosen
          "Not in this price: #{English::List.of(@page.to_choose)}, not chosen yet." if @page.to_choose.any?
        end

        def agreed_by
          "Agreed by #{agreed.agreed_name} #{SettleForm::AGREED.fetch(agreed.agreed_how)}, #{@words.full_day(dated)}."
        end

        def call_above
          return unless agreed.call_above_cents

          "We call before it comes to more than #{@policies.currency.words(agreed.call_above_cents)}."
        end

        def warranty
          "#{agreed.warranty_name} agreed that the maker's warranty may end." if agreed.warranty_name
        end

        def holds
          if sent
            "Not agreed yet. These prices hold until #{@words.full_day(sent.valid_until)}."
          else
            "Not agreed yet. Today's prices."
          end
        end

        # Nothing is promised before it is agreed; nor said before all parts are chosen, since some may have to come.
        def ready
          return if @page.step == :settle && @page.to_choose.any?
          return "Ready by #{@words.full_moment(@page.promise_now.at)} if agreed now." if @page.step == :settle

          @job.promise_at && "Ready by #{@words.full_moment(@job.promise_at)}."
        end
      end
    end
  end
end
