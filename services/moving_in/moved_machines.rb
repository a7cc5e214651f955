# frozen_string_literal: true

module UprightBench
  module Services
    # Writes the machines of a file: each of a model that is on file or begins with a starter's sheet, with what is
    # fitted in it since it was bought, and the clocks that its last service started.
    class MovedMachines
      COLUMNS = %i[customer_id sheet_id serial_number bought_on hours_per_week created_by created_at].freeze

      # @param starter [String] with which sheet an unknown model begins, where no kind is said
      def initialize(by:, at:, starter:)
        @by = by
        @at = at
        @models = MovedModels.new(by: by, at: at, starter: starter)
        @added = []
        @known = 0
        @wrong = []
      end

      # @return [Array<Models::Machine>]
      attr_reader :added

      # @return [Integer] rows in which nothing was new
      attr_reader :known

      # @return [Array<Array(Integer, String)>] lines and reasons
      attr_reader :wrong

      # @param rows [Array<Array(Integer, Formats::CustomerRow::Read, CustomerBook::Entry)>]
      # @return [self]
      def call(rows)
        with, without = rows.partition { |_, row, _| row.machine }
        @known += without.count { |_, _, entry| !entry.fresh }
        fresh = with.map { |line, row, entry| [line, row.machine, entry, @models.sheet(row.machine)] }
        read_on_file(fresh)
        insert(fresh.filter { |line, machine, entry, sheet| new?(line, machine, entry, sheet) })
        self
      end

      private

      def read_on_file(rows)
        serials = rows.filter_map { |_, machine, _, _| machine[:serial_number] }
        asked = Models::Machine.where(customer_id: rows.map { |_, _, entry, _| entry.id }.uniq)
          .or(Sequel.function(:upper, :serial_number) => serials)
          .select_map(%i[id sheet_id serial_number customer_id bought_on])
        @owners = {}
        @unnumbered = {}
        asked.each { |_, sheet, serial, owner, bought| hold(sheet, serial, owner, bought) }
      end

      def hold(sheet, serial, owner, bought)
        serial ? @owners[[sheet, serial.upcase]] = owner : @unnumbered[[owner, sheet, bought]] = true
      end

      def new?(line, machine, entry, sheet)
        serial, bought = machine.values_at(:serial_number, :bought_on)
        owner = serial && @owners[[sheet.id, serial]]
        if owner && owner != entry.id
          @wrong << [line, "A #{sheet.title} with the serial number #{serial} is somebody else's already."]
          return false
        end
        if owner || (serial.nil? && @unnumbered[[entry.id, sheet.id, bought]])
          @known += 1
          return false
        end
        hold(sheet.id, serial, entry.id, bought)
        true
      end

      def insert(rows)
        return if rows.empty?

        ids = DB[:machines].returning(:id).import(COLUMNS, rows.map { |row| columns_of(*row) })
        @added = Models::Machine.where(id: ids).eager(:sheet).order(:id).all
        fit
        serviced = ids.zip(rows.map { |_, machine, _, _| machine[:last_service_on] }).to_h.compact
        begin_clocks(serviced) if serviced.any?
      end

      def columns_of(_line, machine, entry, sheet)
        [entry.id, sheet.id, *machine.values_at(:serial_number, :bought_on, :hours_per_week), @by.id, @at]
      end

      def fit
        rows = @added.flat_map do |machine|
          machine.to_core.positions.map { |position| [machine.id, position.key, machine.bought_on, @by.id] }
        end
        Models::Fitting.dataset.import(%i[machine_id position fitted_on created_by], rows)
      end

      # @param serviced [Hash{Integer=>Date}]
      def begin_clocks(serviced)
        BeginClocks.call(@added.select { |machine| serviced.key?(machine.id) }, serviced, on: Config::Zone.date(@at))
      end
    end
  end
end
