# frozen_string_literal: true

module UprightBench
  module Services
    # Opens a sheet for editing: the draft that is there already, or a new one from a sheet, a relative, or nothing.
    class BeginDraft
      # Of a sheet on file; somebody else's draft of it is gone on with.
      # @return [Models::Draft]
      def self.of(sheet, by:, at:)
        base = Models::SheetVersion.with_pk!(sheet.current_version_id)
        Permissions.check!(Permissions.of_sheets(base.data), by)
        Models::Draft.dataset.insert_conflict(target: :sheet_id)
          .insert(sheet_id: sheet.id, base_version_id: base.id, content: Sequel.pg_jsonb(base.data), begun_by: by.id,
            begun_at: at, changed_by: by.id)
        Models::Draft.first(sheet_id: sheet.id)
      end

      # Of a model that is not on file yet.
      #
      # @param relative [Models::Sheet, nil] copied, with another name
      # @param starter [String, nil] key of Starters; without both, the air path of the kind alone
      # @param seen [Hash] dust, power and roll, as Core::Sheets::Starter takes them
      # @return [Models::Draft]
      # @raise [Invalid] when the model is on file
      # @raise [Core::Sheets::Invalid] when it is not named
      def self.fresh(maker:, model:, by:, at:, kind: nil, relative: nil, starter: nil, **seen)
        if Models::Sheet.first(maker: maker, model_name: model)
          raise Invalid, { model: ["is on file already; edit its sheet"] }
        end

        content = begun_from(maker, model, kind, relative, starter, seen)
        Permissions.check!(Permissions.of_sheets(content), by)
        Core::Sheets::Parse.new(content).call
        Models::Draft.create(content: Sequel.pg_jsonb(content), begun_by: by.id, begun_at: at, changed_by: by.id)
      end

      def self.begun_from(maker, model, kind, relative, starter, seen)
        return copy(relative, maker, model) if relative
        return Starters.content(starter, maker: maker, model: model) if starter

        Core::Sheets::Starter.content(kind: kind, maker: maker, model: model, **seen)
      end

      def self.copy(relative, maker, model)
        Models::SheetVersion.with_pk!(relative.current_version_id)
          .data.merge("maker" => maker, "model" => model, "rough" => true)
      end
      private_class_method :begun_from, :copy
    end
  end
end
