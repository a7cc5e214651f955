# frozen_string_literal: true

module UprightBench
  module Screens
    module Drafts
      # One position of a sheet, from a form, and back. What is empty is left out.
      module PositionFields
        WORDS = %w[name station kind material cleaner care seat never_without caution look sign tool].freeze
        NUMBERS = %w[drying_floor_hours minutes layer].freeze
        FLAGS = %w[beside tap_out alone turn_halfway blow_out].freeze
        TRUTH = { "yes" => true, "no" => false }.freeze

        module_function

        # @return [Hash{String=>Object}] as Core::Sheets::Edit#position takes it
        def read(params)
          read_all(WORDS, params, :words).merge(
            read_all(NUMBERS, params, :number), read_all(FLAGS, params, :flag), tables(params),
            "water" => water(params["water"]), "refit_before" => Typed.list(params["refit_before"]),
            "features" => Typed.list(params["features"]), "care_of" => care_of(params["care_of"]),
            "attributes" => attributes(params["attributes"]), "measures" => Typed.numbers(params["measures"])
          )
        end

        def tables(params)
          { "tasks" => ClockFields.read(params["clocks"]),
            "shares" => shares(params["shares"]), "lights" => lights(params["lights"]) }
        end

        def read_all(keys, params, how)
          keys.to_h { |key| [key, Typed.public_send(how, params[key])] }
        end

        def care_of(typed)
          typed.is_a?(Hash) ? typed.slice(*Core::Sheets::Position::CARED).transform_values { |text| Typed.words(text) }.compact : {}
        end

        # Never is what a sheet means when it says nothing.
        def water(typed)
          Typed.words(typed).then { |words| words == "never" ? nil : words }
        end

        def attributes(typed)
          named = Typed.rows(typed).reject { |row| row["name"].to_s.strip.empty? }
          named.to_h { |row| [row["name"].to_s.strip.tr(" ", "_"), Typed.words(row["value"])] }
            .transform_values { |value| TRUTH.fetch(value, value || "") }
        end

        # A row counts once its number is there; a light's, once its color is.
        def shares(typed)
          filled(typed, "percent").map do |row|
            { "complaint" => Typed.words(row["complaint"]) || "", "fault" => Typed.words(row["fault"]) || "",
              "percent" => Typed.number(row["percent"]) }
          end
        end

        def lights(typed)
          filled(typed, "color").map do |row|
            { "color" => Typed.words(row["color"]), "way" => Typed.words(row["way"]) || "",
              "count" => Typed.number(row["count"]), "means" => Typed.words(row["means"]),
              "fault" => Typed.words(row["fault"]) || "" }.compact
          end
        end

        def filled(typed, field)
          Typed.rows(typed).reject { |row| row[field].to_s.strip.empty? }
        end

        # @param given [Object] what the sheet says, which need not be a usual one
        # @return [Hash{Numeric=>String}] turns of a lock to choose from
        def turns(given)
          usual = Core::Sheets::Fastener::TURNS
          if given.to_s.empty? || usual.keys.map(&:to_s).include?(given.to_s)
            usual
          else
            usual.merge(given => "#{given} turns")
          end
        end

        # @return [Array<Hash>] rows as they are typed
        def attribute_rows(attributes)
          (attributes || {}).map { |name, value| { "name" => name.tr("_", " "), "value" => TRUTH.key(value) || value } }
        end
      end
    end
  end
end
