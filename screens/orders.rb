# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # What is short, ordering it from the suppliers, and receiving what comes.
    module Orders
      MOST = 60 # orders on one page

      def self.registered(app)
        app.helpers Helpers
        short_routes(app)
        orders_routes(app)
        order_routes(app)
        files_routes(app)
      end

      def self.short_routes(app)
        app.get("/shelf/short") { short_page }

        app.post "/shelf/short/reckon", may: :orders do
          Services::ForecastShelf.ask(by: person, at: now)
          redirect "/shelf/short", 303
        end

        app.post("/shelf/short/:supplier", may: :orders) { order_short(Services::Lookup.one(:supplier, id_of(params["supplier"]))) }
      end
      private_class_method :short_routes

      def self.orders_routes(app)
        app.get "/shelf/orders" do
          @title = "Orders"
          before = params["before"].to_s
          erb :"orders/list", locals: { orders: Queries::OrdersPlaced.call(before: before.empty? ? nil : id_of(before)) }
        end

        app.get("/shelf/orders/:number") { order_page(order_asked) }
      end
      private_class_method :orders_routes

      def self.order_routes(app)
        app.post "/shelf/orders/:number/receive", may: :stock do
          form = OrderForm.new(params)
          next redirect("/shelf/orders/#{params['number']}", 303) if receive_order(id_of(params["number"]), form)

          status 422
          order_page(order_asked, form)
        end

        app.post "/shelf/orders/:number/close", may: :orders do
          order = Services::ReceiveOrder.close(id_of(params["number"]), by: person, at: now)
          redirect "/shelf/orders/#{order.number}", 303
        end
      end
      private_class_method :order_routes

      def self.files_routes(app)
        app.get("/shelf/orders/:number/order.pdf") { pdf order_paper(order_asked), "order-#{params['number']}" }

        app.get "/shelf/orders/:number/order.csv" do
          order = order_asked
          csv Formats::OrderList.new(order_rows(order), currency: policies.currency).call, "order-#{order.number}"
        end
      end
      private_class_method :files_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        # Every morning the first to look has it worked out anew.
        def short_page(form = OrderForm.blank, supplier = nil)
          @title = "What to order"
          short = Queries::ToOrder.new
          Services::ForecastShelf.ask(by: person, at: now) if short.stale?(today)
          erb :"orders/short", locals: {
            short: short, form: form, failed: supplier, key: form.value(:request_key) || SecureRandom.uuid
          }
        end

        def place_order(supplier, form)
          return unless form.ok?

          Services::PlaceOrder.call(supplier, pieces: form.pieces, request_key: form.values[:request_key], by: person,
            at: now)
        rescue Services::Invalid => e
          form.add(e.errors)
          nil
        end

        def receive_order(number, form)
          return unless form.ok?

          Services::ReceiveOrder.call(number, pieces: form.pieces, request_key: form.values[:request_key], by: person,
            at: now)
        rescue Services::Invalid, Services::Refused => e
          form.add(e.is_a?(Services::Invalid) ? e.errors : { pieces: [e.message] })
          nil
        end

        def order_asked
          Queries::OrdersPlaced.one(id_of(params["number"]))
        end

        def order_page(order, form = OrderForm.blank)
          @title = "Order #{order.number}"
          @script = "scan.js"
          erb :"orders/order", locals: { order: order, form: form, key: form.value(:request_key) || SecureRandom.uuid }
        end

        def order_short(supplier)
          form = OrderForm.new(params)
          placed = place_order(supplier, form)
          return redirect("/shelf/orders/#{placed.number}", 303) if placed

          status 422
          short_page(form, supplier)
        end

        # @return [Array<Hash>] as Formats::OrderList and Papers::SupplierOrder take them
        def order_rows(order)
          order.lines.map do |line|
            part = line.part
            known = part.values.slice(:number, :name, :maker, :barcode)
            { **known, pieces: line.pieces, packs: Rational(line.pieces, part.pack_pieces),
                       cost_cents: (line.cost_cents if may?(:see_costs)) }
          end
        end

        def order_paper(order)
          Papers::SupplierOrder.new(shop: sender, number: order.number, supplier: order.supplier.name,
            by: order.orderer.name, date: full_day(zone_date(order.ordered_at)), lines: order_rows(order),
            money: method(:money)).render(**paper_look)
        end

        # @return [String] what a part costs the shop, for whoever may see it
        def cost(cents)
          cents && may?(:see_costs) ? money(cents) : ""
        end

        # @return [String] the shop's own address, in a line
        def sender
          [shop.sender, shop.phone, shop.email].compact.join(", ")
        end

        # @return [String] a mail to the supplier, for the program that writes mails
        def order_mail_link(order)
          body = order.lines.map { |line| "#{line.pieces} x #{line.part.number} #{line.part.name}" }.join("\n")
          asked = URI.encode_www_form(subject: "Order #{order.number}, #{shop.name}", body: body).gsub("+", "%20")
          "mailto:#{order.supplier.email}?#{asked}"
        end

        def order_state_words(order)
          missing = order.lines.sum(&:missing)
          return "#{pieces(missing)} to come" unless order.closed_at

          missing.zero? ? "all received" : "#{pieces(missing)} never came"
        end

        # @return [Array<Array(Models::OrderLine, Models::StockMove)>] what was received, in order
        def received_moves(order)
          order.lines.flat_map { |line| line.stock_moves.map { |move| [line, move] } }.sort_by { |_, move| move.id }
        end

        # @return [String] why so many are to be ordered
        def short_words(row)
          [expected_words(row), ("#{row.order.claimed} reserved for jobs." if row.order.claimed.positive?),
           ("Packs of #{row.part.pack_pieces}." if row.part.pack_pieces > 1)].compact.join(" ")
        end

        def expected_words(row)
          forecast = row.forecast or return
          "#{likely_words(forecast)} in #{forecast.days} days: target #{row.order.level}."
        end

        # @return [String] as in "0.4 due and 0.2 walk-ins"; what rounds to none is left out
        def likely_words(forecast)
          likely = { "due" => forecast.from_dues, "walk-ins" => forecast.from_walk_ins }
          said = likely.transform_values { |count| count.round(1) }.select { |_, count| count.positive? }
          return "Hardly any" if said.empty?

          English::List.of(said.map { |what, count| "#{figure(count, decimals: 1)} #{what}" })
        end

        def supplier_summary(supplier, rows)
          cost = may?(:see_costs) ? rows.filter_map(&:cost_cents).sum : 0
          days = supplier.learned_lead_days || supplier.lead_days
          stated = " (#{supplier.lead_days} stated)" if days != supplier.lead_days
          "#{counted(rows.size, 'part')}#{", #{money(cost)} without tax" if cost.positive?}. Delivery in " \
            "#{counted(days, 'day')}#{stated}."
        end
      end
    end
  end
end
