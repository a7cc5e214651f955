# frozen_string_literal: true

module UprightBench
  module Screens
    module FindFault
      # Helpers that say what gauges showed.
      module AirWords
        # @return [Hash{String=>String}] key of a station => where the gauge is held
        def points_of(sheet)
          first, *rest = Core::Suction::Expected.points(sheet)
          { first => "#{gauge_station(sheet, first)}, the whole machine",
            **rest.to_h { |key| [key, "#{gauge_station(sheet, key)}, with all before it off"] } }
        end

        def gauge_station(sheet, key)
          sheet.stations.find { |station| station.key == key }&.name || key
        end

        # @param kind [Symbol] of Core::Suction::Reading::KINDS
        # @param exhaust_off [Boolean]
        # @return [String] as in "flow at Bin, with all before it off"
        def reading_at(sheet, kind, point, exhaust_off: false)
          "#{Core::Suction::Reading::WORDS.fetch(kind)} at #{points_of(sheet).fetch(point, point)}" \
            "#{', and what is behind the fan off' if exhaust_off}"
        end

        # @param row [Models::SuctionReading]
        # @return [String] as in "Flow at Bin, with all before it off: 12 L/s; 30 L/s when all is in order"
        def reading_words(page, row)
          reading = row.to_core
          plate = ", hole of #{figure(row.plate_mm)} mm" if row.plate_mm
          where = reading_at(page.job.sheet, reading.kind, reading.point, exhaust_off: reading.exhaust_off)
          "#{sentence_case(where)}#{plate}: #{shown_figure(row, reading)}; " \
            "#{air_figure(reading.kind, reading.expected(page.air.machine))} when all is in order"
        end

        # @return [String] as in "17.9 kPa (18.6 kPa in standard air)"
        def shown_figure(row, reading)
          standard = " (#{air_figure(reading.kind, reading.value)} in standard air)" if row.value != reading.value
          "#{air_figure(reading.kind, row.value)}#{standard}"
        end

        # @param kind [Symbol] of a reading
        # @return [String] as in "12.3 kPa"
        def air_figure(kind, value)
          Core::Suction::Reading.quantity(kind).words(value)
        end

        # @param gain [Core::Suction::Gain]
        # @return [String] as in "Flow at Head, the whole machine: 12 L/s before the work, 30 L/s after it, 97 % of …"
        def gain_words(page, gain)
          before = "#{air_figure(gain.kind, gain.before)} before the work, " if gain.before
          where = reading_at(page.job.sheet, gain.kind, gain.point, exhaust_off: gain.exhaust_off)
          "#{sentence_case(where)}: #{before}#{air_figure(gain.kind, gain.after)} after it, " \
            "#{share_words(gain.restored)} of what it is when all is in order"
        end

        def sentence_case(words)
          words.sub(/\A./, &:upcase)
        end

        KNOWN_BY_WORDS = { own: "what this machine did after its last good service",
                           rated: "what its model sheet says of a new one",
                           usual: "what is usual for such a machine: its sheet gives no readings" }.freeze

        # @return [String] by what it is known what the machine does in order
        def known_by_words(page)
          KNOWN_BY_WORDS.fetch(page.air.expected.known_by)
        end

        EXPLAINED = { nothing: "the air of this machine is in order", fan: "the fan is tired" }.freeze
        MAY_BE = 0.05 # as likely as that, it is mentioned

        # @return [String] as in "too much resistance at Bin", and where two things are wrong both
        def explained(page, explanation)
          explanation.keys.map { |kind, stage| wrong_words(page.job.sheet, kind, stage) }.join(" and ")
        end

        def wrong_words(sheet, kind, stage)
          case kind
          when :blocked then "too much resistance at #{gauge_station(sheet, stage)}"
          when :leak then "air leaks in behind #{gauge_station(sheet, stage)}"
          else EXPLAINED.fetch(kind)
          end
        end

        # @return [String] what it may be while the readings do not decide
        def may_be(page, located)
          likely = located.call.first(5).select { |one| one.share >= MAY_BE }
          likely.map { |one| "#{explained(page, one)} (#{share_words(one.share)})" }.join("; ")
        end

        # @return [String]
        def suction_profile(page)
          likeliest = page.located.call.first
          Drawings::SuctionProfile.new(expected: page.air.machine, found: likeliest.machine,
            marked: likeliest.keys.filter_map(&:last),
            names: page.job.sheet.stations.to_h { |station| [station.key, station.name] }).render
        end
      end
    end
  end
end
