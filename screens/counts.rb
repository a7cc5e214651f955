# frozen_string_literal: true

module UprightBench
  module Screens
    # Counting the shelf with a scanner: each scan is a piece, a number typed is all that lie there.
    module Counts
      def self.registered(app)
        app.helpers Helpers
        app.get("/shelf/count") { count_page }

        app.post "/shelf/count/begin", may: :stock do
          Services::ScanCount.begin(by: person, at: now)
          redirect "/shelf/count", 303
        end

        app.post "/shelf/count/scan", may: :stock do
          form = ScanForm.new(params)
          line = scan_part(form)
          next counted_lines(line, form) if htmx?
          next redirect("/shelf/count", 303) if line

          status 422
          count_page(form)
        end

        { "write" => true, "drop" => false }.each do |name, written|
          app.post "/shelf/count/#{name}", may: :stock do
            count = Services::ScanCount.close(written: written, by: person, at: now)
            say(written ? "Count applied." : "Count discarded. Nothing changed.") if count
            redirect "/shelf/count", 303
          end
        end
      end

      # Helpers of this screen's routes.
      module Helpers
        def count_page(form = ScanForm.blank)
          @title = "Count"
          @script = "scan.js"
          erb :"counts/page", locals: { stock_count: Queries::StockCount.new, form: form }
        end

        def scan_part(form)
          Services::ScanCount.scan(form.values[:code], pieces: form.values[:pieces], by: person, at: now) if form.ok?
        rescue Services::Invalid => e
          form.add(e.errors)
          nil
        rescue Services::Refused => e
          form.add(code: [e.message])
          nil
        end

        # What a scan changed, read out by the page.
        def counted_lines(line, form)
          status 422 unless line
          said = line ? "#{line.part.name}: #{line.pieces}" : form.errors.values.flatten.join(" ")
          erb :"counts/_lines", layout: false, locals: {
            lines: Queries::StockCount.new.lines, said: said, wrong: line.nil?
          }
        end

        # @return [String] as in "+2"
        def difference_words(line)
          line.difference.zero? ? "none" : format("%+d", line.difference)
        end
      end
    end
  end
end
