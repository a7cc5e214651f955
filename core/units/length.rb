# frozen_string_literal: true

module UprightBench
  module Core
    module Units
      # Lengths as a shop writes them, kept in millimetres.
      #
      #   Length.parse("3/8 in", unit: :mm)  # => 9.525
      #   Length.parse("4", unit: :mm)       # => 4.0
      #   Length.show(9.525, unit: :inch)    # => "0.375"
      #
      # 1 in = 25.4 mm exactly (International yard and pound agreement, 1959; ISO 31-1).
      module Length
        MM = { mm: 1.0, cm: 10.0, m: 1000.0, inch: 25.4 }.freeze
        SHOP_UNITS = %i[mm inch].freeze
        WORDS = { mm: "mm", inch: "in" }.freeze
        NAMES = { "mm" => :mm, "cm" => :cm, "m" => :m, "in" => :inch, "inch" => :inch, "inches" => :inch, '"' => :inch,
                  "″" => :inch }.freeze
        DECIMALS = { mm: 1, inch: 3 }.freeze
        NUMBER = %r{(?<sign>[-−])?(?:(?<whole>\d+)[ -])?(?<top>\d+)/(?<under>[1-9]\d*)|(?<plain>[-−+]?\d*[.,]?\d+)}
        WRITTEN = /\A\s*(?:#{NUMBER})\s*(?<unit>mm|cm|m|in|inch|inches|"|″)?\.?\s*\z/i

        module_function

        # @param text [String] a number or a fraction, with or without its unit
        # @param unit [Symbol] :mm or :inch, meant when none is written
        # @return [Float, nil] millimetres; nil when it is no length
        def parse(text, unit:)
          found = WRITTEN.match(text.to_s[0, 40]) or return
          (number(found) * MM.fetch(found[:unit] ? NAMES.fetch(found[:unit].downcase) : unit)).round(4)
        end

        # @param millimetres [Numeric]
        # @return [String] the number alone, in the shop's unit
        def show(millimetres, unit:)
          format("%g", (millimetres / MM.fetch(unit)).round(DECIMALS.fetch(unit)))
        end

        # @return [String] with its unit
        def words(millimetres, unit:)
          "#{written(show(millimetres, unit: unit))} #{WORDS.fetch(unit)}"
        end

        # @param typed [String] a number with a dot
        # @return [String] with the shop's own mark
        def written(typed)
          typed.tr(".", Writing.now.mark)
        end

        def number(found)
          return found[:plain].tr(",−", ".-").to_f if found[:plain]

          (found[:sign] ? -1 : 1) * (found[:whole].to_i + (found[:top].to_f / found[:under].to_i))
        end
        private_class_method :number, :written
      end
    end
  end
end
