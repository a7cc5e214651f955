# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Keeps a file of customers as it came, and has the worker part it into rows.
    module KeepCustomerList
      PIECE_BYTES = 256 * 1024
      KEPT_DAYS = 30 # what was left out, and what nobody went on with

      module_function

      # @param source [IO]
      # @return [Models::CustomerImport]
      # @raise [Forbidden]
      # @raise [Invalid] when there is nothing in it
      def call(source, by:, at:)
        Permissions.check!(:moving_in, by)
        DB.transaction do
          import = Models::CustomerImport.create(format: "csv", state: "kept", given_by: by.id, given_at: at)
          import.update(bytes: keep(import, source))
          raise Invalid, { list: ["The file is empty."] } if import.bytes.zero?

          PartCustomerList::Work.enqueue(import.id)
          import
        end
      end

      def keep(import, source)
        bytes = 0
        while (piece = source.read(PIECE_BYTES))
          import.pieces.insert(customer_import_id: import.id, sequence: bytes / PIECE_BYTES, bytes: Sequel.blob(piece))
          bytes += piece.bytesize
        end
        bytes
      end

      # What people wrote in a file of theirs is not kept for ever.
      # @return [Integer] files of which the rows are gone
      def forget_old(at:)
        old = Models::CustomerImport.where do
          given_at < at - (KEPT_DAYS * 86_400)
        end.exclude(state: "writing").select(:id)
        %i[customer_import_pieces customer_import_rows].sum { |table| DB[table].where(customer_import_id: old).delete }
      end
      private_class_method :keep
    end
  end
end
