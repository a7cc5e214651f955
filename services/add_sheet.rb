# frozen_string_literal: true

module UprightBench
  module Services
    # Keeps a model sheet: a new model, or a new version of one that is known. The same content is kept once.
    class AddSheet
      # @param content [Hash] as Core::Sheets::Parse takes it
      # @return [Models::Sheet]
      # @raise [Core::Sheets::Invalid]
      def self.call(content, by:, at:, note: nil)
        parsed = Core::Sheets::Parse.new(content).call
        DB.transaction do
          sheet = Models::Sheet.where(maker: parsed.maker, model_name: parsed.model).for_update.first
          current = sheet && Models::SheetVersion.with_pk!(sheet.current_version_id)
          next sheet if current && current.content.to_hash == content

          keep(sheet, parsed, content, (current&.version || 0) + 1, note: note, by: by, at: at)
        end
      end

      # Sheet and version name each other: the version's id is drawn first, and the database checks both at the end.
      def self.keep(sheet, parsed, content, version, note:, by:, at:)
        id = DB.get(Sequel.function(:nextval, Sequel.function(:pg_get_serial_sequence, "sheet_versions", "id")))
        sheet ? sheet.update(current_version_id: id) : sheet = Models::Sheet.create(maker: parsed.maker, model_name: parsed.model, current_version_id: id)
        Models::SheetVersion.insert(id: id, sheet_id: sheet.id, version: version, content: Sequel.pg_jsonb(content), note: note,
                                    created_by: by.id, created_at: at)
        History.note("kept sheet", sheet, by: by, at: at, data: { version: version })
        sheet
      end
      private_class_method :keep
    end
  end
end
