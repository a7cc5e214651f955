# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Is a measured number likely at this position, and if not: what was probably meant?
      #
      #   Likely.new(position, :standout_mm).problem(40)  # => Problem, meant: 4.0, 8 mm is what new bristles have
      #
      # Catches a wrong unit (centimetres, inches, tenths) before it becomes a verdict.
      class Likely
        # What is wrong with a number, and the number that was probably meant (in the field's unit), if one is likely.
        class Problem
          include Value

          fields :words, meant: nil
        end

        # Share by which a sound measure may pass the sheet's own value (house rules).
        BEYOND_NEW = 1.25   # bristles splay a little
        BELT = 0.85..1.15   # of the nominal length: outside it is another belt or another unit
        LONGER_RUN = 1.5    # a pack never runs so much longer than when new
        # What was typed, as against what was meant: tenths and tens, centimetres, inches.
        SLIPS = [10.0, 0.1, 25.4, 1 / 25.4, 100.0, 0.01].freeze

        # @param position [Sheets::Position]
        # @param name [Symbol] a measure of its kind
        # @param unit [Symbol] how the shop writes lengths
        def initialize(position, name, unit: :mm)
          @position = position
          @name = name
          @unit = unit
          @field = position.kind_of_part.fields.fetch(name)
        end

        # @return [Range] of numbers that are likely here, in the field's unit
        def range
          sane = @field.range
          case @name
          when :standout_mm then fresh ? (sane.begin..(fresh * BEYOND_NEW)) : sane
          when :run_minutes, :run_minutes_full then sane.begin..(@position.measures.fetch(@name.to_s,
            sane.end / LONGER_RUN) * LONGER_RUN)
          when :length_mm then length
          else sane
          end
        end

        # @param number [Numeric]
        # @return [Problem, nil]
        def problem(number)
          return if range.cover?(number)

          Problem.new(words: "#{written(number)} is not likely here: #{because(number)}", meant: meant(number))
        end

        private

        def fresh
          @position.measures["new_standout_mm"]
        end

        def length
          if @position.kind == :carbon
            return 0..(@position.measures.fetch("new_length_mm", @field.range.end / BEYOND_NEW) * BEYOND_NEW)
          end

          nominal = @position.measures["length_mm"]
          nominal ? (nominal * BELT.begin)..(nominal * BELT.end) : @field.range
        end

        # The slip that lands nearest to what the sheet expects.
        def meant(number)
          return unless number.finite?

          slipped = SLIPS.map { |factor| (number * factor).round(2) }
          likely = slipped.select { |meant| range.cover?(meant) && meant.positive? }
          likely.min_by { |meant| (Math.log(meant) - Math.log(expected)).abs }
        end

        def expected
          @position.measures["length_mm"] || @position.measures["new_length_mm"] || fresh&./(2.0) ||
            @position.measures[@name.to_s] || (range.end / 2.0)
        end

        def because(number)
          return limits if number < range.begin && @name == :standout_mm

          case @name
          when :standout_mm then fresh ? "new bristles stand #{written(fresh)} proud" : limits
          when :length_mm then if @position.measures["length_mm"]
                                 "the belt of this model is #{written(@position.measures['length_mm'])} long"
                               else
                                 limits
                               end
          else limits
          end
        end

        def limits
          "it lies between #{written(range.begin)} and #{written(range.end)}"
        end

        def written(number)
          return Units::Length.words(number, unit: @unit) if @field.length?

          "#{Units::Figure.words(number.round(2))} #{@field.unit}"
        end
      end
    end
  end
end
