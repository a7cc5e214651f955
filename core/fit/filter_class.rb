# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # Filter classes of EN 1822-1 (and the groups of ISO 29463): the least share that is held back at the most
      # penetrating particle size. Group E is EPA, H is HEPA, U is ULPA; "HEPA" on a box is a label, not a class.
      module FilterClass
        PERCENT = { "E10" => 85, "E11" => 95, "E12" => 99.5, "H13" => 99.95, "H14" => 99.995, "U15" => 99.9995,
                    "U16" => 99.99995, "U17" => 99.999995 }.freeze
        GROUPS = { "E" => "EPA", "H" => "HEPA", "U" => "ULPA" }.freeze

        module_function

        # @param name [String, nil] a class
        # @return [Boolean] HEPA or better
        def hepa?(name)
          %w[H U].include?(name.to_s[0])
        end

        # @param name [String, nil] a class
        # @param other [String, nil] what is asked for
        # @return [Boolean] holds back as much, or nothing is asked for
        def as_good?(name, other)
          PERCENT.fetch(name, 0) >= PERCENT.fetch(other, 0)
        end

        # @return [String] as in "H13 (HEPA, holds back 99.95 % at the size that passes most easily)"
        def words(name)
          "#{name} (#{GROUPS.fetch(name[0])}, holds back #{PERCENT.fetch(name)} % at the size that passes most easily)"
        end
      end
    end
  end
end
