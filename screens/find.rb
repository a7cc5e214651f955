# frozen_string_literal: true

module UprightBench
  module Screens
    # Finds or opens what was typed or scanned, from any screen.
    module Find
      # A scan of a tag (J1042) or of its slip, of a filter label (M17), of a card's code, of a part's number or of its barcode opens what it names.
      def self.registered(app)
        app.helpers Helpers

        app.get "/find" do
          query = params["q"].to_s.strip
          path = scanned(query)
          redirect path, 303 if path
          redirect "/customers?q=#{::Rack::Utils.escape(query[0, 200])}", 303
        end
      end

      # Helpers of this screen's routes.
      module Helpers
        def scanned(query)
          job_path(query) || machine_path(query) || card_path(query) || slip_path(query) || part_path(query)
        end

        private

        def job_path(query)
          number = query[/\A[jJ]?(\d{3,18})\z/, 1]
          "/jobs/#{number.to_i}" if number && !Models::Job.where(number: number.to_i).empty?
        end

        def machine_path(query)
          id = query[/\A[mM](\d{1,18})\z/, 1]
          "/machines/#{id.to_i}" if id && !Models::Machine.where(id: id.to_i).empty?
        end

        def card_path(query)
          code = query[%r{(?:\A|/c/)([0-9a-zA-Z-]{26,32})\z}, 1]
          "/cards/#{Outbox::Letters.codes.read(code, today: today)}" if code
        rescue Formats::SignedCode::Bad
          nil
        end

        def slip_path(query)
          code = query[%r{(?:\A|/j/)([0-9a-zA-Z-]{26,32})\z}, 1]
          job = code && Models::Job.with_pk(Outbox::JobLink.read(code, today: today))
          "/jobs/#{job.number}" if job
        rescue Formats::SignedCode::Bad
          nil
        end

        def part_path(query)
          part = Models::Part.where(number: query.upcase).or(barcode: query).first if query.length.between?(3, 40)
          "/shelf/#{part.id}" if part
        end
      end
    end
  end
end
