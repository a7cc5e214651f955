# frozen_string_literal: true

module UprightBench
  module Screens
    # Pictures of a job: added from its page, shown there and at close-up.
    module Photos
      def self.registered(app)
        app.helpers Helpers

        app.post "/jobs/:number/pictures", may: :work, most_bytes: Doors::PICTURES do
          number = id_of(params["number"])
          attempt(number, "pictures") do
            raise Services::Invalid, { pictures: ["Choose a picture first."] } if uploads.empty?

            Services::AddPictures.call(number, Services::AddPictures.prepare(uploads), by: person, at: now)
          end
        end

        app.get "/pictures/:id/:size.jpg" do
          picture = Services::Lookup.one(:picture, id_of(params["id"]))
          size = Pictures::Prepare::SIDES.keys.find { |side| side.to_s == params["size"] } || pass
          headers "cache-control" => "private, max-age=31536000, immutable"
          send_file Pictures::Store.ours.path(picture.digest, size), type: :jpeg, disposition: :inline
        end
      end

      # Helpers of whatever form brings pictures.
      module Helpers
        # @return [Array<Hash>] the files of a multipart form; an empty file field sends none
        def uploads
          Array(params["pictures"]).grep(Hash).select do |file|
            file[:tempfile].respond_to?(:path) && !file[:filename].to_s.empty?
          end
        end
      end
    end
  end
end
