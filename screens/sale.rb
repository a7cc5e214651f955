# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    # Parts over the counter: scan, scan, pay. What lies on the counter stands in the address, until it is paid.
    module Sale
      MOST = 999

      def self.registered(app)
        app.helpers Helpers
        app.get("/bills/sale", may: :see_prices) { sale_page }

        app.post "/bills/sale", may: :take_money do
          bill = Services::SellOverCounter.call(**sale_typed, by: person, at: now)
          say "Sold: #{money(bill.total_cents)}."
          redirect "/bills/#{bill.number}", 303
        rescue Services::Invalid, Services::Refused => e
          status 422
          sale_page(problem: e.message)
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def sale_page(problem: nil)
          @title = "Over the counter"
          pieces = pieces_on_counter
          code = params["scan"].to_s.strip[0, 80]
          problem ||= scan_onto(pieces, code) unless code.empty?
          erb :"sale/page", locals: { sale: sale_of(pieces), problem: problem,
                                      key: params["request_key"].to_s[TakeIn::TakeInForm::UUID] || SecureRandom.uuid }
        end

        # One more of what was scanned.
        # @return [String, nil] what is wrong
        def scan_onto(pieces, code)
          found = Services::Lookup.part_scanned(code)
          return "No part on file has the number or barcode #{code}." unless found

          pieces[found.id] = [pieces.fetch(found.id, 0) + 1, MOST].min
          nil
        end

        def sale_of(pieces)
          Queries::Sale.new(pieces: pieces, today: today, machine_id: id_typed("machine_id"),
            customer_id: id_typed("customer_id"))
        end

        # @return [Hash] as Services::SellOverCounter takes it
        def sale_typed
          sale = sale_of(pieces_on_counter)
          key = params["request_key"].to_s[TakeIn::TakeInForm::UUID]
          raise Services::Invalid, { scan: ["Open the page again."] } unless key

          { pieces: sale.pieces, customer: sale.customer, machine: sale.machine, way: Job::HandOverForm.way(params),
            fitted: fitted_typed, request_key: key }
        end

        # @return [Hash{Integer=>Integer}] part's id => pieces; what cannot be read is left out
        def pieces_on_counter
          typed = params["lines"].is_a?(Hash) ? params["lines"] : {}
          typed.first(Services::SellOverCounter::MOST_LINES).filter_map do |id, count|
            next unless id.to_s.match?(/\A\d{1,18}\z/) && count.to_s.match?(/\A[1-9]\d{0,2}\z/)

            [id.to_i, count.to_i]
          end.to_h
        end

        # @return [Hash{String=>Integer}] position => part's id
        def fitted_typed
          typed = params["fitted"].is_a?(Hash) ? params["fitted"] : {}
          typed.select { |_, id| id.to_s.match?(/\A\d{1,18}\z/) }.transform_values(&:to_i)
        end

        # @return [Hash{String=>Integer}] as the address says it
        def whom_for(sale)
          { "machine_id" => sale.machine&.id, "customer_id" => sale.customer&.id, "card_id" => id_typed("card_id") }
            .compact
        end

        # @return [String] what lies on the counter, as hidden fields
        def counter_fields(sale)
          lines = sale.pieces.transform_keys { |id| "lines[#{id}]" }
          whom = whom_for(sale)
          lines.merge(whom).map { |name, value| %(<input type="hidden" name="#{name}" value="#{value}">) }.join
        end

        # @return [String] the same counter with so many pieces of a part
        def counter_path(sale, part_id, count)
          pieces = sale.pieces.merge(part_id => count).reject { |_, pieces| pieces < 1 }
          asked = whom_for(sale)
          asked.merge!(pieces.to_h { |id, pieces| ["lines[#{id}]", pieces] })
          "/bills/sale?#{URI.encode_www_form(asked)}"
        end

        # @return [Hash{String=>String}] on account only for somebody who is known
        def sale_ways(sale)
          sale.customer ? pay_choices : ways_to_pay
        end
      end
    end
  end
end
