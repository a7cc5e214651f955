# frozen_string_literal: true

module UprightBench
  module Services
    # Writes a note on a machine, a place of it, or a job; and ends it, when it no longer holds.
    module KeepNote
      MOST = 40 # standing on one thing

      module_function

      # @param on [Models::Machine, Models::Job]
      # @param position [String, nil] a place of the machine
      # @param pictures [Array<Pictures::Prepare::Prepared>]
      # @return [Models::Note]
      # @raise [Invalid]
      def write(on, text:, by:, at:, position: nil, pictures: [])
        raise Invalid, { note: ["Write something first."] } if text.to_s.strip.empty?

        DB.transaction do
          on.lock!
          of = { "#{on.model.name[/\w+\z/].downcase}_id": on.id }
          raise Refused, "At most #{MOST} notes: end those that no longer hold." if full?(of)

          History.note("wrote a note", on, by: by, at: at, job: (on if on.is_a?(Models::Job)))
          note = Models::Note.create(**of, position: position, text: text.strip, written_by: by.id, written_at: at)
          AddPictures.of_note(note, pictures, by: by, at: at)
          note
        end
      end

      # @param note [Models::Note]
      def end(note, by:, at:)
        DB.transaction do
          Permissions.check!(:work, by)
          Models::Note.standing.where(id: note.id).update(ended_by: by.id, ended_at: at)
        end
      end

      def full?(of)
        Models::Note.standing.where(of).count >= MOST
      end
      private_class_method :full?
    end
  end
end
