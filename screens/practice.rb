# frozen_string_literal: true

module UprightBench
  module Screens
    # The practice bench: a simulated machine with a hidden fault, to learn on.
    module Practice
      def self.registered(app)
        app.helpers Helpers
        app.get("/practice", own: true) { practice_page }

        app.post "/practice", own: true do
          round = Services::Practice.begin(id_typed("sheet_id"), params["complaint"].to_s,
            faults: params["two"] == "1" ? 2 : 1, by: person, at: now)
          redirect "/practice/#{round.id}", 303
        end
        round_routes(app)
        looking_routes(app)
      end

      def self.round_routes(app)
        app.get("/practice/:id", own: true) { round_page(round_asked) }

        app.post "/practice/:id/name", own: true do
          id = id_of(params["id"])
          Services::Practice.name(id, params["cause"].to_s, remedy: params["remedy"].to_s, by: person, at: now)
          redirect "/practice/#{id}", 303
        end
      end

      def self.looking_routes(app)
        app.post "/practice/:id/check", own: true do
          id = id_of(params["id"])
          Services::Practice.check(id, params["check"].to_s, unplugged: params["power"] != "on", by: person, at: now)
          redirect "/practice/#{id}", 303
        end

        app.post "/practice/:id/read", own: true do
          id = id_of(params["id"])
          Services::Practice.read(id, point: params["point"].to_s, kind: params["kind"].to_s,
            exhaust_off: params["exhaust_off"] == "1", by: person, at: now)
          redirect "/practice/#{id}", 303
        end
      end
      private_class_method :round_routes, :looking_routes

      # Helpers of this screen's routes and templates.
      module Helpers
        def practice_page
          @title = "Practice"
          erb :"practice/page", locals: { models: Queries::PracticeRounds.models,
                                          rounds: Queries::PracticeRounds.of(person) }
        end

        def round_asked
          Services::Practice.own(id_of(params["id"]), person)
        end

        def round_page(round)
          @title = "Practice: #{complaint_words(round.complaint)}"
          erb(round.ended_at ? :"practice/debrief" : :"practice/round",
            locals: { round: round, ladder: Core::Faults::Ladder.new(round.search, round.results) })
        end

        # @return [Core::Faults::Debrief]
        def debrief_of(round)
          Core::Faults::Debrief.new(round.search, round.results, round.hidden.to_a)
        end

        # @param check [Core::Faults::Check]
        # @return [String] what there is to be seen
        def practice_sign(round, check, result)
          return shown_words(check, result) if check.splits
          return check.tried? ? shown_words(check, result) : "nothing to be seen" if result == :clear

          there = round.search.causes.select { |cause| round.hidden.include?(cause.key) && check.shows.key?(cause.key) }
          there.any? ? there.map { |cause| fault_words_of(cause) }.join(", ") : shown_words(check, result)
        end

        # Looks are made without power, tries and the motor's run with it.
        def unsafe_checks(round)
          round.checks.reject(&:unplugged).map { |row| round.search.check_of(row.check_key) }
            .reject { |check| check.splits || check.place.nil? || runs?(round.sheet, check) }
        end

        def runs?(sheet, check)
          sheet.position(check.place).kind == :motor
        end

        # @return [String] as in "Flow at Bin, with all before it off: 12 L/s; 30 L/s when all is in order"
        def practice_reading(round, reading)
          read = reading.to_core
          where = reading_at(round.sheet, read.kind, read.point, exhaust_off: read.exhaust_off)
          "#{sentence_case(where)}: #{air_figure(read.kind, read.value)}; " \
            "#{air_figure(read.kind, read.expected(Core::Suction::Expected.of(round.sheet)))} when all is in order"
        end

        # @return [Boolean] whether what would be done mends what was named
        def right_remedy?(round)
          round.remedy == Core::Faults::Remedy.of(round.sheet, round.search.cause_of(round.named)).to_s
        end

        # @return [String, nil] nil for fewer than two rounds, which make no line
        def practice_line(rounds)
          return if rounds.size < 2

          points = rounds.reverse.map do |round|
            Drawings::PracticeLine::Point.new(day: moment(round.ended_at), right: round.hidden.include?(round.named),
              ratio: round.minutes / round.best_minutes)
          end
          Drawings::PracticeLine.new(points).render
        end

        # @return [Array<String>]
        def hidden_words(round)
          round.hidden.map { |cause| known_words(round.sheet, cause) }
        end
      end
    end
  end
end
