# frozen_string_literal: true

module UprightBench
  module Screens
    # Notes on a machine or a job: written and ended where they are shown.
    module Notes
      # what they are on => where that is shown
      PAGES = { "machine" => ->(on) { "/machines/#{on.id}" }, "job" => ->(on) { "/jobs/#{on.number}" } }.freeze

      def self.registered(app)
        app.helpers Helpers

        app.post "/notes", may: :work, most_bytes: Doors::PICTURES do
          on = note_subject
          pictures, wrong = note_pictures
          Services::KeepNote.write(on, text: Job::Note.of(params["text"], :note), position: place_of_note(on),
            pictures: pictures, by: person, at: now)
          say ["The note is kept.", wrong].compact.join(" Without pictures: ")
          redirect "#{note_page(on)}#notes", 303
        rescue Services::Invalid, Services::Refused => e
          say e.message
          redirect note_page(on), 303
        end

        app.post "/notes/:id/end", may: :work do
          note = Services::Lookup.one(:note, id_of(params["id"]))
          Services::KeepNote.end(note, by: person, at: now)
          redirect "#{note_page(note.machine || note.job)}#notes", 303
        end
      end

      # Helpers of this screen's routes.
      module Helpers
        def note_subject
          name = params["on"].to_s
          raise Services::NotFound, "Nothing has notes by that name." unless PAGES.key?(name)

          Services::Lookup.one(name.to_sym, id_of(params["id"].to_s))
        end

        def note_page(on)
          PAGES.fetch(on.model.name[/\w+\z/].downcase).call(on)
        end

        # What was written is kept, whatever lay beside it.
        # @return [Array(Array<Pictures::Prepare::Prepared>, String)] and what is wrong with them, or nil
        def note_pictures
          [Services::AddPictures.prepare(uploads), nil]
        rescue Services::Invalid => e
          [[], e.message]
        end

        # @return [String, nil] a place of the machine
        def place_of_note(on)
          key = params["position"].to_s
          key if on.respond_to?(:to_core) && on.to_core.position?(key)
        end
      end
    end
  end
end
