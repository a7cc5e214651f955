# frozen_string_literal: true

module UprightBench
  module Services
    # Changes a draft. What would break a rule of sheets is refused, and the draft stays as it was.
    class EditDraft
      STALE = "Somebody else changed this draft in the meantime. Yours was not saved; look at theirs and change it " \
              "again."

      # @param version [Integer] the draft's, as it was on the screen; older is fine while the last change was one's own
      # @yieldparam edit [Core::Sheets::Edit]
      # @yieldreturn [Hash] the changed content
      # @return [Models::Draft]
      # @raise [Stale] when somebody else changed it
      # @raise [NotFound] when what is to be changed is not there any more
      # @raise [Core::Sheets::Invalid] with every rule broken
      def self.call(draft, version:, by:)
        before = draft.data
        Permissions.check!(Permissions.of_sheets(before), by)
        content = yield Core::Sheets::Edit.new(before)
        return draft if content == before
        raise Stale, STALE if draft.lock_version != version && draft.changed_by != by.id

        Core::Sheets::Parse.new(content).call
        draft.update(content: Sequel.pg_jsonb(content), changed_by: by.id)
      rescue Sequel::NoExistingObject
        raise Stale, STALE
      rescue KeyError => e
        raise NotFound, "The draft has #{e.message}."
      end
    end
  end
end
