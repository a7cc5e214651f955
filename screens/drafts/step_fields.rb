# frozen_string_literal: true

module UprightBench
  module Screens
    module Drafts
      # One step of opening a machine, from a form, and back. What is empty is left out.
      module StepFields
        WORDS = %w[name safe orientation tight never tool caution outline].freeze
        LISTS = %w[after takes_off opens refit_before].freeze
        # Written with commas.
        NAMED = %w[may_lift connectors].freeze
        # What a fastener is when nothing is said.
        SCREW = "screw"

        module_function

        # @return [Hash{String=>Object}] as Core::Sheets::Edit#step takes it
        def read(params)
          PositionFields.read_all(WORDS, params, :words).merge(
            LISTS.to_h { |key| [key, Typed.list(params[key])] },
            NAMED.to_h { |key| [key, named(params[key])] },
            "minutes" => Typed.number(params["minutes"]),
            "beyond_handbook" => Typed.flag(params["beyond_handbook"]), "fasteners" => fasteners(params["fasteners"])
          )
        end

        # @param row [Hash{String=>Object}] of a sheet's content
        # @return [Hash{String=>Object}] as it is typed
        def write(row)
          row.merge(NAMED.to_h { |key| [key, Array(row[key]).join(", ")] },
            "beyond_handbook" => (row["beyond_handbook"] ? "1" : nil),
            "fasteners" => Array(row["fasteners"]).map { |held| held.merge("at" => write_points(held["at"])) })
        end

        # @param points [Array<Array(Numeric, Numeric)>]
        # @return [String] as in "10,20 30,40"
        def write_points(points)
          Array(points).map { |point| point.map { |side| format("%g", side) }.join(",") }.join(" ")
        end

        # @return [Array<Array<Numeric>>] what cannot be read is left for the rules to refuse
        def read_points(text)
          text.to_s.split.map { |pair| pair.split(",").map { |side| Typed.number(side) } }
        end

        # A row counts once a driver or a length stands in it, or it is more than a screw.
        def fasteners(typed)
          held = Typed.rows(typed).reject do |row|
            row["kind"].to_s.then { |kind| kind.empty? || kind == SCREW } &&
              row.values_at("count", "driver", "length_mm").all? { |text| text.to_s.strip.empty? }
          end
          held.map { |row| fastener(row) }
        end

        def fastener(row)
          words = PositionFields.read_all(%w[kind driver direction note], row, :words)
          numbers = PositionFields.read_all(%w[length_mm diameter_mm turns], row, :number)
          points = read_points(row["at"])
          { "count" => Typed.number(row["count"]) || [points.size, 1].max, **words, **numbers,
            "kind" => (words["kind"] unless words["kind"] == SCREW), "at" => (points if points.any?) }.compact
        end

        def named(text)
          text.to_s.split(",").map(&:strip).reject(&:empty?)
        end
        private_class_method :fastener, :named
      end
    end
  end
end
