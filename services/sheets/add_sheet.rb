# frozen_string_literal: true

module UprightBench
  module Services
    # Keeps a model sheet: a new model, or a new version of one that is known. The same content is kept once.
    class AddSheet
      # @param content [Hash] as Core::Sheets::Parse takes it
      # @param sheet [Models::Sheet, nil] the one it is a version of; by its maker and model when nil
      # @return [Models::Sheet]
      # @raise [Core::Sheets::Invalid]
      # @raise [Forbidden] for the counter, unless it is rough and stays so
      def self.call(content, by:, at:, note: nil, sheet: nil)
        content = Core::Sheets::Upgrade.call(content)
        parsed = Core::Sheets::Parse.new(content).call
        DB.transaction do
          OneAtATime.wait("sheet", "#{parsed.maker} #{parsed.model}")
          sheet = known(sheet ? { id: sheet.id } : { maker: parsed.maker, model_name: parsed.model })
          version, stored = newest_of(sheet)
          Permissions.check!(Permissions.of_sheets(content, stored), by)
          next sheet if stored == content

          keep(sheet, parsed, content, version + 1, note: note, by: by, at: at)
        end
      end

      # @return [Array(Integer, Hash)] number and content of its version now; 0 and nil where there is none
      def self.newest_of(sheet)
        current = sheet && Models::SheetVersion.with_pk!(sheet.current_version_id)
        [current&.version || 0, current&.data]
      end
      private_class_method :newest_of

      def self.known(which)
        Models::Sheet.where(which).for_update.first
      end
      private_class_method :known

      # @return [Integer] the id of the newest version of any sheet; 0 when there is none
      def self.newest
        Models::SheetVersion.max(:id).to_i
      end

      # Sheet and version name each other: the version's id is drawn first, and the database checks both at the end.
      def self.keep(sheet, parsed, content, version, note:, by:, at:)
        id = DB.get(Sequel.function(:nextval, Sequel.function(:pg_get_serial_sequence, "sheet_versions", "id")))
        named = { maker: parsed.maker, model_name: parsed.model, current_version_id: id }
        sheet ? rename(sheet, named) : sheet = Models::Sheet.create(named)
        Models::SheetVersion.insert(id: id, sheet_id: sheet.id, version: version, content: Sequel.pg_jsonb(content),
          note: note,
          created_by: by.id, created_at: at)
        History.note("kept sheet", sheet, by: by, at: at, data: { version: version })
        RecomputeDues.ask(why: "version #{version} of its sheet", sheet: sheet, by: by, at: at) if version > 1
        sheet
      end

      # What fits is listed by the model's name, and follows it.
      def self.rename(sheet, named)
        before = sheet.title
        sheet.update(named)
        Models::FitRule.where(model_title: before).update(model_title: sheet.title) if sheet.title != before
      end
      private_class_method :keep, :rename
    end
  end
end
