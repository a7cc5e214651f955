# frozen_string_literal: true

module UprightBench
  module Services
    # A draft becomes a version of its sheet. Jobs that are under way keep the version they began with.
    class KeepDraft
      # @param note [String] why
      # @param over [Integer, nil] the version that came in since the draft was begun, when it shall be replaced all
      #   the same
      # @return [Models::Sheet]
      # @raise [Invalid] when its name is another sheet's
      # @raise [Stale] when the sheet got a newer version since
      def self.call(draft, note:, by:, at:, over: nil)
        DB.transaction do
          content = draft.data
          refuse_name_of_another(draft, content)
          on_file = draft.sheet_id && Models::Sheet.where(id: draft.sheet_id).for_update.first
          refuse_newer(draft, on_file, over)
          sheet = AddSheet.call(content, by: by, at: at, note: note, sheet: on_file)
          draft.delete
          sheet
        end
      end

      def self.refuse_name_of_another(draft, content)
        other = Models::Sheet.first(maker: content["maker"], model_name: content["model"])
        raise Invalid, { base: ["There is a sheet of #{other.title} already."] } if other && other.id != draft.sheet_id
      end

      def self.refuse_newer(draft, on_file, over)
        return if on_file.nil? || [draft.base_version_id, over].include?(on_file.current_version_id)

        raise Stale, "The sheet got a newer version since this draft was begun. See what it changed, and keep yours " \
                     "over it if that is right."
      end
      private_class_method :refuse_name_of_another, :refuse_newer
    end
  end
end
