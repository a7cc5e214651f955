# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # Money: the day's takings and the drawer, what is owed, each bill with what was paid, and what the books want.
    module Bills
      PAPERS = { "bill" => Papers::Bill, "roll" => Papers::BillRoll }.freeze

      def self.registered(app)
        app.helpers Helpers
        day_routes(app)
        books_routes(app)
        bill_routes(app)
      end

      def self.day_routes(app)
        app.get("/bills", may: :see_prices) { money_page(DrawerForm.blank) }

        app.post "/bills/drawer", may: :take_money do
          form = DrawerForm.new(params)
          next money_page(form) unless form.ok? && drawer_counted(form)

          say "The drawer is counted."
          redirect "/bills", 303
        end
      end
      private_class_method :day_routes

      def self.books_routes(app)
        %w[bills payments].each do |what|
          app.get("/bills/#{what}.csv", may: :see_prices) do
            rows = Queries::Books.public_send(what, *period)
            csv Formats::Books.new(policies.currency).public_send(what, rows),
              "#{what}-#{period.map(&:iso8601).join('-to-')}"
          end
        end
      end
      private_class_method :books_routes

      def self.bill_routes(app)
        app.get("/customers/:id/statement.pdf", may: :see_prices) do
          pdf statement_of(Services::Lookup.one(:customer, id_of(params["id"]))), "statement"
        end

        app.get("/bills/:number", may: :see_prices) { bill_page(bill_asked) }

        app.get "/bills/:number/:paper.pdf", may: :see_prices do
          paper = PAPERS.fetch(params["paper"]) { pass }
          pdf Services::PrintedBill.new(bill_asked).render(on: paper), "#{params['paper']}-#{params['number']}"
        end

        app.get("/bills/:number/e-bill.xml", may: :see_prices) { e_bill(bill_asked) }
        app.post("/bills/:number/pay", may: :take_money) { pay_bill(bill_asked, PaymentForm.new(params)) }
        app.post("/bills/:number/credit", may: :credits) { credit_bill(bill_asked) }
        app.post("/bills/:number/mail", may: :work) { mail_bill(bill_asked) }
      end
      private_class_method :bill_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        def bill_asked
          Services::Lookup.bill(id_of(params["number"]))
        end

        # @return [String] XML
        # @raise [Services::Refused] naming what is not written down
        def e_bill(bill)
          made = Formats::EBill.new(bill, currency: policies.currency)
          if made.lacking.any?
            raise Services::Refused, "An e-bill needs more than is on file: #{made.lacking.join(', ')}."
          end

          content_type "application/xml", charset: "utf-8"
          headers "content-disposition" => %(attachment; filename="bill-#{bill.number}.xml")
          made.to_xml
        end

        def money_page(form)
          @title = "Bills"
          status 422 if form.errors.any?
          erb :"bills/page", locals: { day: Queries::MoneyDay.new(day_of(params["on"]) || today), owed: Queries::Owed.new,
                                       registered: Queries::Registrations.waiting,
                                       form: form, key: form.value(:request_key) || SecureRandom.uuid }
        end

        def bill_page(bill, form: nil, errors: {})
          @title = bill.title
          page = Queries::BillOverview.new(bill)
          form ||= PaymentForm.blank("amount" => policies.currency.plain(page.owed_cents.abs))
          status 422 if form.errors.any? || errors.any?
          erb :"bills/bill", locals: { page: page, bill: bill, form: form, errors: errors,
                                       key: form.value(:request_key) || SecureRandom.uuid }
        end

        def drawer_counted(form)
          Services::CountDrawer.call(**form.count, by: person, at: now)
        rescue Services::Invalid => e
          form.add(e.errors)
          nil
        end

        def pay_bill(bill, form)
          return bill_page(bill, form: form) unless form.ok?

          Services::TakePayment.call(of: bill, cents: form.paid_cents, by: person, at: now,
            **form.values.slice(:way, :note, :request_key))
          redirect "/bills/#{bill.number}", 303
        rescue Services::Invalid => e
          form.add(e.errors.transform_keys(cents: :amount))
          bill_page(bill, form: form)
        end

        def credit_bill(bill)
          reason = Job::Note.of(params["reason"], :reason).to_s[0, 300]
          credit = Services::CreditBill.call(bill, reason: reason, by: person, at: now)
          redirect "/bills/#{credit.number}", 303
        rescue Services::Invalid => e
          bill_page(bill, errors: e.errors)
        end

        def mail_bill(bill)
          notice = Services::MailBill.call(bill, agreed: params["agreed"] == "1", by: person, at: now)
          say "#{bill.title} goes to #{notice.recipient}."
          redirect "/bills/#{bill.number}", 303
        rescue Services::Invalid => e
          bill_page(bill, errors: e.errors)
        end

        # @param notice [Models::Notice]
        # @return [String]
        def mailed_words(notice)
          case notice.state
          when "handed_over" then "Mailed to #{notice.recipient}, #{moment(notice.told_at)}."
          when "to_call" then "Not mailed to #{notice.recipient}: #{notice.last_error}."
          else "On its way to #{notice.recipient}."
          end
        end

        # @param customer [Models::Customer]
        # @return [String] PDF
        def statement_of(customer) # rubocop:disable Metrics/AbcSize -- one paper
          open = Queries::Owed.new(customer_id: customer.id).open
          Papers::Statement.new(shop: [shop.name, postal_rest(shop), shop.phone], date: full_day(today),
            customer: shop.address_of(customer).lines, rows: open.map { |row| statement_row(row) },
            total: money(open.sum(&:cents))).render(**paper_look)
        end

        # @param row [Queries::Owed::Row]
        def statement_row(row)
          ["#{row.bill.title}, #{full_day(row.bill.issued_on)}: #{row.bill.about.to_a.join(', ')}", money(row.cents)]
        end

        # @return [Array(Date, Date)] this month, where it is not said
        def period
          from = day_of(params["from"]) || Date.new(today.year, today.month)
          till = day_of(params["till"]) || ((from >> 1) - 1)
          [from, till]
        end

        # @return [Date, nil]
        def day_of(text)
          Date.iso8601(text) if text.is_a?(String) && text.match?(/\A\d{4}-\d\d-\d\d\z/)
        rescue Date::Error
          nil
        end

        # @return [Integer] -1 for a credit note, whose lines take back
        def bill_sign(bill)
          bill.credit? ? -1 : 1
        end

        # @return [String] who a bill is for
        def billed_to_words(bill)
          bill.billed_to.to_a.first || "at the counter"
        end

        # @param cents [Integer] owed; negative where it is given back
        def owed_words(cents)
          return "paid" if cents.zero?

          cents.positive? ? "#{money(cents)} to pay" : "#{money(-cents)} to give back"
        end

        # @return [Hash{String=>String}] way => words
        def ways_to_pay
          Core::Money::Ways::WORDS
        end
      end
    end
  end
end
