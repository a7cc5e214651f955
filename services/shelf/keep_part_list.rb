# frozen_string_literal: true

module UprightBench
  module Services
    # Keeps a list of parts as it came, piece by piece, and has it read: at once when it is short, else by the worker.
    module KeepPartList
      PIECE_BYTES = 256 * 1024
      KEPT_DAYS = 7 # a list that nobody took over

      module_function

      # @param source [IO]
      # @param supplier [Models::Supplier, nil] whose list it is; what their columns are called is remembered
      # @return [Models::PartImport]
      # @raise [Forbidden]
      # @raise [Invalid] when there is nothing in it
      def call(source, by:, at:, supplier: nil)
        Permissions.check!(:price_lists, by)
        import = DB.transaction { keep(source, supplier, by, at) }
        import.short? ? ReadPartList.call(import) : ReadPartList::Work.enqueue(import.id)
        import
      end

      # What the columns are, as a person said; remembered for the supplier. It is read again then.
      # @param columns [Hash{String=>String}] theirs => ours, or empty
      # @param kind [String, nil] what all of them are, where no column says it
      # @return [Models::PartImport]
      def map(import, columns, kind:, by:, at:)
        Permissions.check!(:price_lists, by)
        DB.transaction do
          import.lock!
          next if import.applied_at

          import.update(meanings: Sequel.pg_jsonb(columns), kind: kind)
          import.supplier&.update(list_columns: Sequel.pg_jsonb(columns))
          History.note("said what the columns are", import, by: by, at: at, data: { columns: columns })
        end
        ReadPartList.call(import)
      end

      def keep(source, supplier, by, at)
        forget_old(at)
        import = Models::PartImport.create(given_by: by.id, given_at: at, state: "kept", supplier_id: supplier&.id,
          meanings: Sequel.pg_jsonb(supplier ? supplier.list_columns.to_hash : {}))
        bytes = pieces(source).each_with_index.sum do |piece, index|
          DB[:part_import_pieces].insert(part_import_id: import.id, sequence: index, bytes: Sequel.blob(piece))
          piece.bytesize
        end
        raise Invalid, { list: ["The list is empty."] } if bytes.zero?

        import.update(bytes: bytes)
      end

      def pieces(source)
        Enumerator.new do |out|
          while (piece = source.read(PIECE_BYTES))
            out << piece
          end
        end
      end

      def forget_old(at)
        old = Models::PartImport.where { given_at < at - (KEPT_DAYS * 86_400) }.select(:id)
        DB[:part_import_pieces].where(part_import_id: old).delete
      end
      private_class_method :keep, :pieces, :forget_old
    end
  end
end
