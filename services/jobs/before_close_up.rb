# frozen_string_literal: true

module UprightBench
  module Services
    # What closing up changes at a machine, kept as it stood before: what is fitted, its spares, what is left of boxes,
    # its readings and its clocks. Put back, it is as if the job had not been closed up.
    class BeforeCloseUp
      KEPT_DAYS = 30 # longer than anything may be taken back
      # table => columns that closing up changes
      COLUMNS = { fittings: %i[removed_on wash_count], spares: %i[used_item_id], home_pieces: %i[pieces],
                  use_readings: [] }.freeze

      # @param job [Models::Job] locked by the caller, about to be closed up
      def self.keep(job, at:)
        rows = DB[:before_close_ups]
        rows.where { kept_at < at - (KEPT_DAYS * 86_400) }.delete
        kept = Sequel.pg_jsonb(new(job).read)
        rows.insert_conflict(target: :job_id, update: { kept: kept, kept_at: at })
          .insert(job_id: job.id, kept: kept, kept_at: at)
      end

      # @param job [Models::Job] locked by the caller
      # @param on [Date]
      # @raise [Refused] when it is not known any more, or a card followed from it
      def self.put_back(job, on:)
        row = DB[:before_close_ups].first(job_id: job.id)
        raise Refused, "What stood before this job was closed up is not known any more." unless row

        new(job).write(row[:kept].to_hash, on)
        DB[:before_close_ups].where(job_id: job.id).delete
      end

      def initialize(job)
        @machine_id = job.machine_id
      end

      # @return [Hash{String=>Array<Hash>}] rows by table, in the order in which they came to be
      def read
        kept = COLUMNS.to_h { |table, columns| [table, of(table).select(:id, *columns).order(:id).all] }
        { **kept, dues: of(:dues).where(state: "open").order(:id).all }
      end

      def write(kept, on)
        refuse_carded(ids(kept["dues"]))
        COLUMNS.each_key do |table|
          of(table).exclude(id: ids(kept[table.to_s])).delete
          put(table, kept[table.to_s])
        end
        put_back_clocks(kept["dues"], on)
      end

      private

      # What began is ended, as it may have been looked at since; what ran, runs on.
      def put_back_clocks(dues, on)
        of(:dues).where(state: "open").exclude(id: ids(dues)).update(state: "ended", closed_on: on)
        put(:dues, dues)
      end

      def of(table)
        DB[table].where(machine_id: @machine_id)
      end

      def ids(rows)
        rows.map { |row| row["id"] }
      end

      def put(table, rows)
        rows.each do |row|
          columns = row.to_hash.except("id").to_h { |name, value| [name.to_sym, column(value)] }
          DB[table].where(id: row["id"]).update(columns) if columns.any?
        end
      end

      # A list is JSON in these tables.
      def column(value)
        value.respond_to?(:to_ary) || value.respond_to?(:to_hash) ? Sequel.pg_jsonb_wrap(value) : value
      end

      # A card that left names dates that closing up set: it cannot be called back.
      def refuse_carded(known)
        begun = of(:dues).where(state: "open").exclude(id: known).select(:id)
        return if Models::CardLine.where(due_id: begun, void: false).empty?

        raise Refused, "A card went out on what this job did. Take the machine in anew instead."
      end
    end
  end
end
