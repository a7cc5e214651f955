# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # What changed between two versions of a sheet's content, one sentence each.
      #
      #   Changes.new(before, after).call  # => ["Brush roll: minutes was 4, is 6"]
      class Changes
        LISTS = { "stations" => "station", "positions" => "place", "steps" => "step" }.freeze

        # @param before [Hash{String=>Object}] content as Parse takes it
        # @param after [Hash{String=>Object}]
        def initialize(before, after)
          @before = before
          @after = after
        end

        # @return [Array<String>] empty when nothing changed
        def call
          fields("", @before.except(*LISTS.keys), @after.except(*LISTS.keys)) +
            LISTS.flat_map { |list, word| rows(list, word) }
        end

        private

        def rows(list, word)
          old = by_key(@before, list)
          new = by_key(@after, list)
          kept = old.keys & new.keys
          listed(old.except(*kept), word, "removed") + listed(new.except(*kept), word, "added") +
            kept.flat_map { |key| changed_fields(old[key], new[key]) } + moved(old.keys, new.keys, word)
        end

        def changed_fields(old, new)
          fields("#{new['name']}: ", old, new)
        end

        def listed(rows, word, what)
          rows.values.map { |row| "#{word} #{row['name']} #{what}" }
        end

        def by_key(content, list)
          content.fetch(list, []).to_h { |row| [row["key"], row] }
        end

        def moved(old, new, word)
          (old & new) == (new & old) ? [] : ["#{word}s reordered"]
        end

        def fields(prefix, old, new)
          (old.keys | new.keys).reject { |key| old[key] == new[key] }
            .map { |key| "#{prefix}#{key.tr('_', ' ')} #{change(old[key], new[key])}" }
        end

        def change(old, new)
          return "is now #{written(new)}" if old.nil?
          return "was #{written(old)}, now empty" if new.nil?

          "was #{written(old)}, is #{written(new)}"
        end

        def written(value)
          case value
          when Hash then value.map { |key, inner| "#{key.tr('_', ' ')} #{written(inner)}" }.join(", ")
          when Array then value.empty? ? "empty" : value.map { |one| written(one) }.join("; ")
          when true then "yes"
          when false then "no"
          else value.to_s
          end
        end
      end
    end
  end
end
