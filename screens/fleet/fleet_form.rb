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

          rule(:made_safe) { key.failure("tick this once every one of them is; nothing is opened before") if value.nil? }
          rule(:no_condition) { key.failure("look at these first; a machine that has one is taken in by itself") if value.nil? }
        end

        # @param typed [Hash] `list_file` may be an uploaded file in place of `list`
        def initialize(typed = {}, customer = nil)
          file = typed["list_file"]
          typed = typed.merge("list" => read(file)) if file.is_a?(Hash) && file[:tempfile]
          super(typed.except("list_file"))
          @customer = customer
          @listed = customer ? listed : []
          add(base: ["Tick machines, or give a list."]) if ok? && rows.empty?
        end

        # @return [Array<Hash>] as Services::TakeInFleet takes them
        def rows
          known = (values[:machine_ids] || []).uniq.map { |id| { machine_id: id, complaint: values[:complaint] } }
          known + @listed.reject { |row| row[:machine_id] && values[:machine_ids].to_a.include?(row[:machine_id]) }
        end

        private

        def read(file)
          Config::Web::ReadableInput.mend(file[:tempfile].read(200_001).to_s)
        end

        def listed
          return [] if values[:list].nil? || errors.key?(:list)

          machines = Formats::MachineList.new(values[:list]).call
          plates = Models::Machine.where(plate: machines.map { |one| one[:plate] }).all.group_by(&:plate)
          sheets = Models::Sheet.all.to_h { |sheet| [sheet.title.downcase, sheet] }
          machines.filter_map { |one| row(one, sheets["#{one[:maker]} #{one[:model]}".downcase], plates) }
        rescue Formats::Bad => e
          add(list: e.problems)
          []
        end

        def row(one, sheet, plates)
          return refuse(one, "there is no sheet of #{one[:maker]} #{one[:model]}; take one in by itself first, and its sheet is begun") unless sheet

          known = plates.fetch(one[:plate], []).find { |machine| machine.sheet_id == sheet.id }
          return refuse(one, "plate #{one[:plate]} belongs to another customer") if known && known.customer_id != @customer.id

          which = known ? { machine_id: known.id } : { machine: { sheet_id: sheet.id, plate: one[:plate], bought_on: one[:bought_on] } }
          which.merge(complaint: one[:complaint] || values[:complaint] || "", hours_per_week: one[:hours_per_week])
        end

        def refuse(one, words)
          add(list: ["Line #{one[:line]}: #{words}."])
          nil
        end
      end
    end
  end
end
