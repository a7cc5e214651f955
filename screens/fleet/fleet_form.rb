# frozen_string_literal: true

module UprightBench
  module Screens
    module Fleet
      # Several machines of one customer: those ticked, and those of a list (CSV), all with the same complaint where the
      # list has none of its own.
      class FleetForm < Form
        takes do
          params do
            required(:request_key).filled(:string, format?: TakeIn::TakeInForm::UUID)
            required(:complaint).filled(:string, max_size?: 2000)
            optional(:machine_ids).array(:integer)
            optional(:list).maybe(:string, max_size?: 200_000)
            optional(:made_safe).maybe(:string)
            optional(:no_condition).maybe(:string)
          end

          rule(:made_safe) { key.failure("Tick this once every one of them is.") if value.nil? }
          rule(:no_condition) do
            key.failure("Look at each first. Take in a machine that has one by itself.") if value.nil?
          end
        end

        # @param typed [Hash] `list_file` may be an uploaded file in place of `list`
        def initialize(typed = {}, customer = nil)
          file = typed["list_file"]
          typed = typed.merge("list" => read(file)) if file.is_a?(Hash) && file[:tempfile]
          super(typed.except("list_file"))
          @customer = customer
          @listed = customer ? listed : []
          add(base: ["Tick machines, or add a list."]) if ok? && rows.empty?
        end

        # @return [Array<Hash>] as Services::TakeInFleet takes them
        def rows
          known = (values[:machine_ids] || []).uniq.map { |id| { machine_id: id, complaint: values[:complaint] } }
          known + @listed.reject { |row| row[:machine_id] && values[:machine_ids].to_a.include?(row[:machine_id]) }
        end

        private

        def read(file)
          Formats::ReadableText.of(file[:tempfile].read(200_001).to_s)
        end

        def listed
          return [] if values[:list].nil? || errors.key?(:list)

          rows_of(Formats::MachineList.new(values[:list]).call)
        rescue Formats::Malformed => e
          add(list: e.problems)
          []
        end

        def rows_of(machines)
          known = Queries::FleetMachines.known(machines.map { |machine| machine[:serial_number] })
          sheets = Queries::FleetMachines.sheets_by_title
          machines.filter_map { |machine| row(machine, sheets[title_of(machine)], known) }
        end

        def title_of(machine)
          "#{machine[:maker]} #{machine[:model]}".downcase
        end

        def row(listed, sheet, known)
          return refuse(listed, no_sheet(listed)) unless sheet

          machine = known.fetch(listed[:serial_number], []).find { |other| other.sheet_id == sheet.id }
          if machine && machine.customer_id != @customer.id
            return refuse(listed, "serial no. #{listed[:serial_number]} belongs to another customer")
          end

          { **which(machine, sheet, listed), complaint: listed[:complaint] || values[:complaint] || "",
                                             hours_per_week: listed[:hours_per_week] }
        end

        def which(machine, sheet, listed)
          return { machine_id: machine.id } if machine

          { machine: { sheet_id: sheet.id, **listed.slice(:serial_number, :bought_on) } }
        end

        def no_sheet(listed)
          "there is no sheet of #{listed[:maker]} #{listed[:model]}. Take one in by itself first; that starts its sheet"
        end

        def refuse(listed, words)
          add(list: ["Line #{listed[:line]}: #{words}."])
          nil
        end
      end
    end
  end
end
