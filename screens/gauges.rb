# frozen_string_literal: true

module UprightBench
  module Screens
    # The gauges that write lines: how each is read, what it showed last, and what its reader needs. And the door
    # through which readers hand on what gauges write.
    module Gauges
      MOST_BYTES = 16 * 1024
      TOKEN = /\ABearer (\S{20,100})\z/

      def self.registered(app)
        app.helpers Helpers
        app.get("/gauges") { gauges_page(blank_gauge) }

        app.post("/gauges", may: :settings) { add_gauge(GaugeForm.new(params)) }

        # No form of ours is filled in by a reader: its token stands for it.
        app.post "/gauge-lines", open: true, token: false, most_bytes: MOST_BYTES do
          content_type :json
          held = Services::HearGauge.call(gauge_token, request.body.read.to_s, at: now)
          held ? JSON.generate(held) : halt(401, JSON.generate(error: "No gauge has this token."))
        end

        app.post("/gauges/:id", may: :settings) { change_gauge(id_of(params["id"]), GaugeForm.new(params)) }

        app.post "/gauges/:id/away", may: :settings do
          Services::KeepGauge.put_away(id_of(params["id"]), by: person, at: now)
          say "The gauge is put away. Its readings stay."
          redirect "/gauges", 303
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        # @return [String] empty where none was shown
        def gauge_token
          env["HTTP_AUTHORIZATION"].to_s[TOKEN, 1].to_s
        end

        # @param given [Array(Models::Gauge, String), nil] a new gauge and its token, shown once
        def gauges_page(form, given: nil)
          @title = "Gauges"
          erb :"gauges/page", locals: { gauges: Queries::GaugesOnFile.call, form: form, given: given, mine: may?(:settings) }
        end

        def add_gauge(form)
          given = keep_gauge(form) { Services::KeepGauge.add(form.fields, by: person, at: now) }
          gauges_page(given ? blank_gauge : form, given: given)
        end

        def blank_gauge
          GaugeForm.blank("kind" => "suction", "error_percent" => "2", "pattern" => "{value} {unit}")
        end

        def change_gauge(id, form)
          kept = keep_gauge(form) { Services::KeepGauge.change(id, form.fields, by: person, at: now) }
          return gauges_page(form) unless kept

          say "Saved."
          redirect "/gauges", 303
        end

        # @return [Object, nil] nil when it was not kept; what is wrong stands in the form
        def keep_gauge(form)
          return yield if form.ok?

          status 422
          nil
        rescue Services::Invalid => e
          form.add(e.errors)
          status 422
          nil
        end

        # @param gauge [Models::Gauge]
        # @return [GaugeForm] what was typed there and could not be saved, else what is on file
        def gauge_form(form, gauge)
          return form if form.value(:id) == gauge.id.to_s

          GaugeForm.blank("id" => gauge.id.to_s, "name" => gauge.name, "pattern" => gauge.pattern,
            "unit" => gauge.unit.to_s, "error_percent" => figure(gauge.error_percent))
        end

        # @return [String] as in "Suction gauge"
        def gauge_kind(gauge)
          Core::Gauges::Kinds::WORDS.fetch(gauge.kind).sub(/\A./, &:upcase)
        end

        # @param gauge [Models::Gauge]
        # @return [String] what it wrote last
        def heard_words(gauge)
          stream = gauge.stream
          return "Not heard yet." unless stream.heard_at

          read = stream.understood ? "" : ", #{not_understood_words(gauge, stream.last_line)}"
          "Last heard #{moment(stream.heard_at)}: “#{stream.last_line}”#{read}."
        end

        def not_understood_words(gauge, line)
          beside = gauge.profile.read_beside(line) unless gauge.room?
          return "which cannot be read so: change how it writes" unless beside

          "which is no reading of a #{Core::Gauges::Kinds.fetch(gauge.kind).words} and is not taken: is its reader " \
            "at another device?"
        end
      end
    end
  end
end
