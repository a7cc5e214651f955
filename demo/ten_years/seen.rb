# frozen_string_literal: true

module UprightBench
  module Demo
    class TenYears
      # What was found at the places of a sheet: a few variants of each, with the core's verdict, ready for COPY.
      class Seen
        VARIANTS = 5
        Line = Struct.new(:finding, :event)

        # @param sheet [Core::Sheets::Sheet]
        # @param today [Date]
        def initialize(sheet, today)
          @sheet = sheet
          @random = Random.new(Load::SEED)
          @background = Core::Findings::Background.new(policy: Services::Policies.now.findings, today: today,
            fitted_on: today - 300, hours_per_week: 2)
          @unit = @background.policy.length_unit
        end

        # @return [Array<Array<Line>>] the variants of each place
        def lines
          @sheet.walk.map { |place| Array.new(VARIANTS) { line(place) } }
        end

        private

        def line(place)
          seen = Sight.new(place, @random).seen
          verdict = Core::Findings::Read.new(position: place, observed: seen, background: @background).call
          Line.new([place.key, JSON.generate(seen), verdict.kind, *told(verdict.reason), verdict.confidence].join("\t"),
            JSON.generate(position: place.key, observed: seen, verdict: verdict.kind))
        end

        # @return [Array(String, Symbol, String)] its sentence, key and figures
        def told(reason)
          [English::Sentences.of(reason, unit: @unit), reason.key, JSON.generate(reason.to_stored.except("key"))]
        end
      end
    end
  end
end
