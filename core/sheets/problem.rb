# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # A rule that a sheet breaks, and where: `path` are the keys and indexes that lead there from the top.
      class Problem
        include Value

        fields :path, :words

        # @return [String] as in "positions › 2: minutes must be positive", counted from 1
        def to_s
          [path.map { |step| step.is_a?(Integer) ? step + 1 : step }.join(" › "), words].reject(&:empty?).join(": ")
        end
      end
    end
  end
end
