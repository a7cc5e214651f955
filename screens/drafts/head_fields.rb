# frozen_string_literal: true

module UprightBench
  module Screens
    module Drafts
      # What a sheet says of the whole model, from a form.
      module HeadFields
        WORDS = %w[maker model kind family body_style power].freeze

        # The readings of a new machine.
        RATED_WORDS = { "suction_kpa" => "Suction when new, kPa", "flow_l_s" => "Air flow when new, L/s",
                        "fan_exponent" => "Exponent of the fan's curve (1 is straight)" }.freeze

        # Whether it may run without a filter for a moment, as it is sent.
        MAY = { true => "yes", false => "no" }.freeze

        module_function

        # @return [Hash{String=>Object}] as Core::Sheets::Edit#head takes it
        def read(params)
          { **WORDS.to_h { |key| [key, Typed.words(params[key]).to_s] },
            "warranty_months" => Typed.number(params["warranty_months"]) || 0,
            "warranty_hours" => Typed.number(params["warranty_hours"]), **flags(params), **lists(params),
            "rated" => some(rated(params["rated"])) }
        end

        def lists(params)
          { "accessories" => some(list(params["accessories"])), "kits" => some(kits(params["kits"])),
            "tests" => some(lines(params["tests"])) }
        end

        # @return [Array<String>]
        def lines(text)
          text.to_s.lines.map(&:strip).reject(&:empty?)
        end

        def flags(params)
          { "rough" => Typed.flag(params["rough"]), "runs_without_filter" => MAY.key(params["runs_without_filter"]) }
        end

        def list(typed)
          typed.to_s.split(",").map(&:strip).reject(&:empty?)
        end

        def rated(typed)
          Typed.numbers(typed).slice(*Core::Sheets::Rules::RATED)
        end

        # A kit is written as: Box of bags: 4 bag, 1 motor-filter
        def kits(text)
          lines(text).map do |line|
            name, contents = line.split(":", 2)
            { "name" => name.strip, "contains" => contents.to_s.split(",").to_h { |content| counted(content.strip) } }
          end
        end

        # What cannot be read counts nothing, which the sheet's rules refuse with its words.
        def counted(text)
          pieces, key = text.match(/\A(\d{1,3})\s+(\S+)\z/)&.captures
          pieces ? [key, pieces.to_i] : [text, 0]
        end

        # @return [String] as it is typed
        def write_kits(kits)
          (kits || []).map do |kit|
            "#{kit['name']}: #{kit['contains'].map { |key, pieces| "#{pieces} #{key}" }.join(', ')}"
          end.join("\n")
        end

        def some(value)
          value.empty? ? nil : value
        end
      end
    end
  end
end
