# frozen_string_literal: true

module UprightBench
  module Screens
    module Settings
      # The opening hours of a week as fields: for each day, from and to of each stretch.
      #
      #   { "mon" => { "0" => { "from" => "08:30", "to" => "12:30" } } }
      module HoursFields
        STRETCHES = 2 # a day, and what is stored beyond that
        TIME = /\A([01]?\d|2[0-3]):[0-5]\d\z/
        MIDNIGHT = { "00:00" => "24:00" }.freeze # a day that closes at midnight ends with it

        module_function

        # @param typed [Object] as above
        # @return [Hash{String=>Hash{String=>String}}] day => opening => closing, for those that open
        def read(typed)
          rows(typed).transform_values { |stretches| stretches.to_h { |from, to| times(from, to) } }
            .reject { |_, times| times.empty? }
        end

        # @return [Hash{Symbol=>Array<String>}] what is wrong, by day
        def problems(typed)
          rows(typed).filter_map do |day, stretches|
            problem(stretches).then { |words| [:"hours_#{day}", [words]] if words }
          end.to_h
        end

        # @param hours [Hash{String=>Hash}] as `read` returns them
        # @return [Hash{String=>Hash}] as typed
        def write(hours)
          Core::Policies::Week::DAYS.keys.to_h do |day|
            stretches = hours.fetch(day, {}).to_h.to_a
            stretches += [["", ""]] * [STRETCHES - stretches.size, 0].max
            [day, stretches.each_with_index.to_h do |(from, to), index|
              [index.to_s, { "from" => from, "to" => MIDNIGHT.key(to) || to }]
            end]
          end
        end

        # @return [Hash{String=>Array<Array(String, String)>}] day => from and to of each stretch that is not empty
        def rows(typed)
          typed = {} unless typed.is_a?(Hash)
          Core::Policies::Week::DAYS.keys.to_h do |day|
            stretches = typed[day].is_a?(Hash) ? typed[day].values.grep(Hash) : []
            pairs = stretches.map { |stretch| [stretch["from"], stretch["to"]].map { |text| text.to_s.strip[0, 20] } }
            [day, pairs.reject { |pair| pair.all?(&:empty?) }]
          end
        end

        def problem(stretches)
          return "needs both times" if stretches.flatten.any?(&:empty?)
          unless stretches.flatten.all? { |text| text.match?(TIME) }
            return "has a time that is none; write it as in 08:30"
          end

          "closes before it opens, or opens twice at once" unless in_order?(stretches.map do |from, to|
            times(from, to)
          end.sort)
        end

        # Each stretch ends after it begins, and before the next one.
        def in_order?(hours)
          hours.all? { |from, to| from < to } && hours.flatten.each_cons(2).all? { |earlier, later| earlier <= later }
        end

        # @return [Array(String, String)] with two digits for the hour
        def times(from, to)
          closes = to.rjust(5, "0")
          [from.rjust(5, "0"), MIDNIGHT.fetch(closes, closes)]
        end
        private_class_method :problem, :in_order?, :times
      end
    end
  end
end
