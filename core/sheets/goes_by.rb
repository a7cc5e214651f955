# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # What a clock goes by where the sheet does not say: fixed is the maker's or hygiene's limit, which comes whatever
      # is seen; the rest is wear and dirt, of which a look-over is evidence. (Common practice: bags are changed after
      # some months for hygiene, full or not; a filter has its maker's months, its bags and its washes; rolls, strips,
      # belts and wheels go by wear.)
      module GoesBy
        # kind of part => kinds of clock that are fixed for its replacement
        FIXED = { bag: %i[months], filter: %i[months count] }.freeze

        module_function

        # @param kind [Symbol, String] of the part
        # @param action [Symbol, String] of the task
        # @param clock [Symbol, String] its kind
        # @return [Symbol] one of Clocks::Clock::GOES_BY
        def default(kind, action, clock)
          return :condition unless action.to_sym == :replace

          FIXED.fetch(kind.to_sym, []).include?(clock.to_sym) ? :fixed : :condition
        end
      end
    end
  end
end
