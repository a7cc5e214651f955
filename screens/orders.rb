# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # What is short, ordering it from the suppliers, and receiving what comes.
    module Orders
      MOST = 60 # orders on one page

      def self.registered(app)
        app.helpers Helpers
        short(app)
        orders(app)
        order(app)
        files(app)
      end

      def self.short(app)
        app.get("/shelf/short") { short_page }

        app.post "/shelf/short/reckon" do
          Services::ForecastShelf.ask(by: person, at: now)
          redirect "/shelf/short", 303
        end

        app.post "/shelf/short/:supplier" do
          supplier = Services::Lookup.one(Models::Supplier, id_of(params["supplier"]))
          form = OrderForm.new(params)
          placed = place_order(supplier, form)
          next redirect("/shelf/orders/#{placed.number}", 303) if placed

          status 422
          short_page(form, supplier)
        end
      end
      private_class_method :short

      def self.orders(app)
        app.get "/shelf/orders" do
          @title = "Orders"
          erb :"orders/list", locals: { orders: orders_before(params["before"].to_s) }
        end

        app.get("/shelf/orders/:number") { order_page(order_asked) }
      end
      private_class_method :orders

      def self.order(app)
        app.post "/shelf/orders/:number/receive" do
          form = OrderForm.new(params)
          next redirect("/shelf/orders/#{params['number']}", 303) if receive_order(id_of(params["number"]), form)

          status 422
          order_page(order_asked, form)
        end

        app.post "/shelf/orders/:number/close" do
          order = Services::ReceiveOrder.close(id_of(params["number"]), by: person, at: now)
          redirect "/shelf/orders/#{order.number}", 303
        end
      end
      private_class_method :order

      def self.files(app)
        app.get("/shelf/orders/:number/order.pdf") { pdf order_paper(order_asked), "order-#{params['number']}" }

        app.get "/shelf/orders/:number/order.csv" do
          order = order_asked
          csv Formats::OrderList.new(order_rows(order)).call, "order-#{order.number}"
        end
      end
      private_class_method :files

      # Helpers of this screen's routes.
      module Helpers
        # A forecast that is older than the day is reckoned again by whoever looks first.
        def short_page(form = OrderForm.blank, supplier = nil)
          @title = "What to order"
          last = Models::ForecastRun.last_done
          Services::ForecastShelf.ask(by: person, at: now) if last.nil? || Config::Zone.date(last.finished_at) < today
          erb :"orders/short", locals: { rows: Services::Short.rows.group_by { |row| row.part.supplier }, form: form, failed: supplier, last: last,
                                         running: Models::ForecastRun.first(finished_at: nil), key: form.value(:request_key) || SecureRandom.uuid }
        end

        # @return [Models::SupplierOrder, nil] nil when something is wrong, which the form then says
        def place_order(supplier, form)
          Services::PlaceOrder.call(supplier, pieces: form.pieces, request_key: form.values[:request_key], by: person, at: now) if form.ok?
        rescue Services::Invalid => e
          form.add(e.errors)
          nil
        end

        def receive_order(number, form)
          Services::ReceiveOrder.call(number, pieces: form.pieces, request_key: form.values[:request_key], by: person, at: now) if form.ok?
        rescue Services::Invalid, Services::Refused => e
          form.add(e.is_a?(Services::Invalid) ? e.errors : { pieces: [e.message] })
          nil
        end

        # What is on its way first, then what is closed, the newest first.
        # @param before [String] the id of the last one seen; empty for the first page
        def orders_before(before)
          orders = Models::SupplierOrder.eager(:supplier, :orderer, lines: :stock_moves).order(Sequel.desc(:id))
          closed = orders.exclude(closed_at: nil).limit(MOST)
          before.empty? ? orders.waiting.all + closed.all : closed.where(Sequel[:id] < id_of(before)).all
        end

        def order_asked
          found = Models::SupplierOrder.where(number: id_of(params["number"])).eager(:supplier, :orderer, lines: [:part, { stock_moves: :mover }]).all.first
          found || raise(Services::NotFound, "There is no such order.")
        end

        def order_page(order, form = OrderForm.blank)
          @title = "Order #{order.number}"
          @script = "/scan.js"
          erb :"orders/order", locals: { order: order, form: form, key: form.value(:request_key) || SecureRandom.uuid }
        end

        def order_rows(order)
          order.lines.map do |line|
            { **line.part.values.slice(:number, :name, :maker, :barcode), pieces: line.pieces, packs: Rational(line.pieces, line.part.pack_pieces), cost_cents: line.cost_cents }
          end
        end

        def order_paper(order)
          Papers::SupplierOrder.new(shop: [shop.name, shop.street, shop.town, shop.phone, shop.email].compact.join(", "), number: order.number, supplier: order.supplier.name,
                                    date: day(Config::Zone.date(order.ordered_at)), by: order.orderer.name, lines: order_rows(order), money: method(:money)).render
        end
      end
    end
  end
end
