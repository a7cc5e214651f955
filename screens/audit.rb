# frozen_string_literal: true

module UprightBench
  module Screens
    # What happened, for the owner: who did what and when, from where; and whether the seals hold.
    module Audit
      # Where what it was about can be looked at, by table.
      PATHS = { "customers" => "/customers/%d", "machines" => "/machines/%d", "parts" => "/shelf/%d",
                "sheets" => "/sheets/%d", "cards" => "/cards/%d", "batches" => "/cards/batches/%d",
                "customer_imports" => "/customer-lists/%d", "people" => "/people" }.freeze

      def self.registered(app)
        app.helpers Helpers

        app.get("/audit", may: :audit) { audit_page }

        app.post "/audit/verify", may: :audit do
          answer = Services::VerifySeals.call(at: now)
          audit_page(answer)
        end
      end

      # Helpers of this screen's routes.
      module Helpers
        # @param answer [Services::VerifySeals::Answer, nil]
        def audit_page(answer = nil)
          @title = "What happened"
          page = Queries::AuditPage.new(group: Core::Access::Audit.of(params["group"].to_s), on: day_typed("on"),
            person_id: id_typed("person_id"), verb: words_typed("verb"), before: id_typed("before") || 0)
          erb :"audit/page", locals: { page: page, answer: answer, people: Queries::AuditPage.people }
        end

        def words_typed(name)
          text = params[name].is_a?(String) ? params[name].strip[0, 60] : ""
          text unless text.empty?
        end

        # @return [Date, nil] nil when nothing was typed, or no day
        def day_typed(name)
          Date.iso8601(params[name].to_s, limit: 10)
        rescue ArgumentError # no day, or longer than one
          nil
        end

        # @return [String] the next page's address
        def audit_path(page)
          asked = { group: page.group&.key, person_id: page.person_id, on: page.on&.iso8601, verb: page.verb,
                    before: page.rows.last.id }.compact
          "/audit?#{URI.encode_www_form(asked)}"
        end

        # @param row [Queries::AuditPage::Row]
        # @return [String] what it was about, as a link where there is a page
        def audit_subject(row)
          words = subject_words(row)
          return %(<a href="/jobs/#{row.job_number}">job #{row.job_number}</a>) if row.job_number

          path = PATHS[row.subject]
          path ? %(<a href="#{format(path, row.subject_id)}">#{h(words)}</a>) : h(words)
        end

        # @return [String] as in "part 12"; of somebody who works here, the name
        def subject_words(row)
          @people_by_id ||= Queries::AuditPage.people.to_h
          return @people_by_id.fetch(row.subject_id, "nobody who works here") if row.subject == "people"

          "#{row.subject.tr('_', ' ').sub(/(ie)?s\z/) { Regexp.last_match(1) ? 'y' : '' }} #{row.subject_id}"
        end

        # @return [String] the detail, as far as it fits
        def audit_detail(row)
          shorten(row.data.to_hash.map { |name, value| "#{name.tr('_', ' ')}: #{detail_words(value)}" }.join("; "), 200)
        end

        def detail_words(value)
          case value
          when Hash then value.map { |name, inner| "#{name} #{detail_words(inner)}" }.join(", ")
          when Array then value.map { |inner| detail_words(inner) }.join(", ")
          when nil then "none"
          else value.to_s
          end
        end
      end
    end
  end
end
