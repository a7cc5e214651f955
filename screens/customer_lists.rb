# frozen_string_literal: true

require "stringio"

module UprightBench
  module Screens
    # Customers and their machines in and out as a file. What comes in is looked through before anybody is put on file,
    # and what cannot be taken over comes back with its reasons.
    module CustomerLists
      AGAIN_SECONDS = 1

      def self.registered(app)
        app.helpers Helpers, ImportWords
        out_routes(app)
        coming_in_routes(app)
        looked_at_routes(app)
      end

      def self.out_routes(app)
        app.get "/customer-lists/customers.csv", may: :bulk_export do
          Services::Exported.note("customers (CSV)", by: person, at: now)
          list_of_lines("customers-#{today.iso8601}.csv", Formats::CustomerList.lines(Queries::CustomersForAFile.new,
            semicolons: params["sheet"] == "semicolons"))
        end

        app.get "/customer-lists/customers.vcf", may: :bulk_export do
          Services::Exported.note("customers (vCard)", by: person, at: now)
          list_of_lines("customers-#{today.iso8601}.vcf",
            Formats::AddressBook.write(Queries::CustomersForAFile.new.customers), type: "text/vcard")
        end
      end

      def self.coming_in_routes(app)
        app.get("/customer-lists") { customer_lists_page }

        app.post "/customer-lists", may: :moving_in, most_bytes: Doors::A_LONG_LIST do
          import = Services::KeepCustomerList.call(list_source, by: person, at: now)
          redirect "/customer-lists/#{import.id}", 303
        rescue Services::Invalid
          status 422
          customer_lists_page(problem: "Choose a file, or paste its lines.")
        end
      end

      def self.looked_at_routes(app)
        app.get("/customer-lists/:id", may: :moving_in) { customer_list_page(customer_list_asked) }

        app.get "/customer-lists/:id/left-out.csv", may: :moving_in do
          import = customer_list_asked
          list_of_lines("left-out-#{import.id}.csv",
            Formats::CustomerList.left_out(import.headers.to_a, import.left_out.order(:line).all))
        end

        app.post("/customer-lists/:id/columns", may: :moving_in) { say_columns(customer_list_asked) }

        app.post "/customer-lists/:id/steer", may: :moving_in do
          import = Services::SteerCustomerList.call(customer_list_asked, params["move"].to_s, by: person, at: now)
          redirect "/customer-lists/#{import.id}", 303
        end
      end
      private_class_method :out_routes, :coming_in_routes, :looked_at_routes

      # Helpers of this screen's routes.
      module Helpers
        def customer_list_asked
          Services::Lookup.one(:customer_import, id_of(params["id"]))
        end

        def list_source
          file = params["list_file"]
          return file[:tempfile] if file.is_a?(Hash) && file[:tempfile]&.size&.positive?

          StringIO.new(params["list"].to_s)
        end

        def customer_lists_page(problem: nil)
          @title = "Customer file"
          erb :"customer_lists/page", locals: { problem: problem, imports: Queries::CustomerImports.newest }
        end

        def customer_list_page(import, errors = {})
          @title = "Customer file"
          status 422 if errors.any?
          erb :"customer_lists/import", layout: htmx? ? false : page_layout, locals: {
            import: import, errors: errors, sample: Queries::CustomerImports.sample(import, today: today)
          }
        end

        # @param lines [Enumerator<String>] sent as they are read
        def list_of_lines(name, lines, type: "text/csv")
          content_type type, charset: "utf-8"
          attachment name
          body lines
        end

        def say_columns(import)
          return read_again(import) if another_encoding?(import)

          Services::CheckCustomerList.ask(import, meanings: meanings_typed(import), by: person, at: now,
            date_order: params["date_order"].to_s, starter: params["starter"].to_s)
          redirect "/customer-lists/#{import.id}", 303
        rescue Services::Invalid => e
          customer_list_page(import, e.errors)
        end

        def another_encoding?(import)
          wanted = params["encoding"].to_s
          import.format == "csv" && wanted != import.encoding && Formats::TextEncoding::ALL.key?(wanted)
        end

        # It is parted into rows anew, and what the columns are is asked again.
        def read_again(import)
          Services::PartCustomerList.again(import, encoding: params["encoding"].to_s, by: person)
          redirect "/customer-lists/#{import.id}", 303
        end

        # By their order on the page, as a name of theirs may hold any sign.
        # @return [Array<String>]
        def meanings_typed(import)
          typed = params["columns"].is_a?(Hash) ? params["columns"] : {}
          import.headers.each_index.map { |index| typed[index.to_s].to_s }
        end
      end

      # What the page says.
      module ImportWords
        STATES = { "kept" => "Reading the file", "checking" => "Looking through the rows",
                   "checked" => "Ready to be written", "writing" => "Writing", "paused" => "Paused",
                   "cancelled" => "Cancelled", "written" => "Done", "to_map" => "Say what the columns are",
                   "bad" => "Cannot be read" }.freeze
        AGREED = Core::Cards::Channels::ALL.to_h { |channel| [channel.agreed_column.to_s, channel.agreed_words] }.freeze

        def import_state_words(import)
          STATES.fetch(import.state)
        end

        # @return [Hash{String=>String}]
        def customer_columns
          { "" => "left aside" }.merge(Formats::CustomerColumns::ALL.transform_values(&:first))
        end

        # @return [String] what was typed last, else what was guessed
        def column_said(import, index)
          typed = params["columns"]
          typed.is_a?(Hash) ? typed[index.to_s].to_s : import.meanings[index].to_s
        end

        # @return [String] how many rows, and how far it is
        def import_rows_words(import)
          return counted(import.rows, "row") unless import.through.positive?

          "#{import.through} of #{counted(import.rows, 'row')}"
        end

        # @return [String] what stands in a column of the file
        def samples_of(import, index)
          @first_rows ||= Queries::CustomerImports.first_rows(import)
          @first_rows.filter_map { |row| row[:cells][index] }.uniq.first(3).join(" · ")
        end

        # @return [String] what came of it, or will
        def import_counts(import)
          [counted(import.customers_added, "customer"), counted(import.machines_added, "machine")].join(" and ")
        end

        # @param read [Formats::CustomerRow::Read]
        # @return [String] a machine as it will be
        def moved_machine_words(read)
          machine = read.machine or return "no machine"
          service = machine[:last_service_on]
          [[machine[:maker], machine[:model]].compact.join(" "), machine[:serial_number],
           ("bought #{full_day(machine[:bought_on])}" if machine[:bought_on]),
           service ? "last service #{full_day(service)}" : "no clock begins"].compact.join(", ")
        end

        # @return [String] how the customer is reached, and what they agreed to
        def moved_reach_words(read)
          agreed = Formats::CustomerColumns::AGREED.select { |column| read.customer[column.to_sym] }
            .map { |column| AGREED.fetch(column) }
          where = [phone_words(read.customer[:phone]), read.customer[:email], read.customer[:town]].compact
          "#{where.any? ? where.join(', ') : 'no address'}; " \
            "#{agreed.any? ? "agreed to #{agreed.join(', ')}" : 'agreed to nothing'}"
        end
      end
    end
  end
end
