# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # Which parts did a part take the place of, however many steps back? A chain that runs into itself ends there.
      class Lineage
        # @param parts [Array<Part>]
        def initialize(parts)
          @before = parts.select(&:successor_id).group_by(&:successor_id)
          @by_id = parts.to_h { |part| [part.id, part] }
        end

        # @return [Array<Array(Part, Integer)>] each with the steps to it, the nearest first
        def before(part)
          return [] unless @before.key?(part.id)

          seen = { part.id => true }
          rings(part, seen).each.with_index(1).flat_map { |ring, steps| ring.map { |older| [older, steps] } }
        end

        # @return [Part, nil] the last of the chain, when it is on file and another one
        def newest(part)
          seen = { part.id => true }
          last = part
          while (following = @by_id[last.successor_id]) && !seen[following.id]
            seen[following.id] = true
            last = following
          end
          last unless last.id == part.id
        end

        private

        # @return [Array<Array<Part>>] what a part took the place of, then what that did, and so on
        def rings(part, seen)
          rings = []
          ring = [part]
          loop do
            ring = ring.flat_map { |newer| @before.fetch(newer.id, []) }.reject { |older| seen[older.id] }.uniq(&:id)
            return rings if ring.empty?

            ring.each { |older| seen[older.id] = true }
            rings << ring
          end
        end
      end
    end
  end
end
