# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # Changes to the content of a sheet, each giving the changed content; whether it still is a sheet is for Parse.
      #
      #   Edit.new(content).put_station("Hose", after: "wand")  # => content with the station
      class Edit
        MOST_LETTERS = 50 # of a key

        # @param content [Hash{String=>Object}] as Parse takes it; never changed
        def initialize(content)
          @content = content
        end

        # @param fields [Hash{String=>Object}] keys of the sheet itself; nil takes one out
        def head(fields)
          @content.merge(fields).compact
        end

        # @param after [String, nil] a station's key; at the floor end when nil
        def put_station(name, after:)
          insert("stations", { "key" => free_key(name, "stations"), "name" => name }, after)
        end

        # @raise [KeyError] when there is no such station
        def rename_station(key, name)
          change("stations", key) { |row| row.merge("name" => name) }
        end

        # Moves a row one place on in its list.
        # @param list [String] "stations", "positions" or "steps"
        # @param by [Integer] -1 or 1
        def move(list, key, by)
          rows = @content.fetch(list)
          at = index(list, key)
          to = (at + by).clamp(0, rows.size - 1)
          @content.merge(list => rows.dup.tap { |copy| copy.insert(to, copy.delete_at(at)) })
        end

        # @param list [String] as for `move`
        # Nothing that is left names what is gone; what came after a step comes after what that came after.
        def take_out(list, key)
          at = index(list, key)
          gone = @content.fetch(list)[at]
          left = @content.merge(list => @content.fetch(list).reject.with_index { |_, index| index == at })
          LEADS.fetch(list, {}).reduce(left) { |content, (other, fields)| unnamed(content, other, fields, gone) }
        end

        # @param fields [Hash{String=>Object}] of the position; its key is made from its name
        # @return [Array(Hash, String)] the content, and the key given
        def put_position(fields)
          key = free_key(fields.fetch("name"), "positions")
          row = { "key" => key, **fields }
          [@content.merge("positions" => @content.fetch("positions") + [row]), key]
        end

        # @param fields [Hash{String=>Object}] replaces all but the key; nil and empty ones are left out
        def position(key, fields)
          change("positions", key) { |row| { "key" => row.fetch("key"), **filled(fields) } }
        end

        # @return [Array(Hash, String)] the content, and the key given
        def put_step(name)
          key = free_key(name, "steps")
          [@content.merge("steps" => [*@content["steps"], { "key" => key, "name" => name }]), key]
        end

        # @param fields [Hash{String=>Object}] replaces all but the key; nil and empty ones are left out
        def step(key, fields)
          change("steps", key) { |row| { "key" => row.fetch("key"), **filled(fields) } }
        end

        # list => where its rows are named
        LEADS = { "positions" => { "positions" => %w[refit_before], "steps" => %w[opens takes_off] },
                  "steps" => { "steps" => %w[after refit_before] } }.freeze
        private_constant :LEADS

        private

        def unnamed(content, list, fields, gone)
          return content unless content[list]

          content.merge(list => content[list].map { |row| without(row, fields, gone) })
        end

        def without(row, fields, gone)
          fields.reduce(row) do |kept, field|
            next kept unless kept[field]&.include?(gone["key"])

            left = (kept[field] - [gone["key"]]) | (field == "after" ? Array(gone["after"]) : [])
            left.empty? ? kept.except(field) : kept.merge(field => left)
          end
        end

        def filled(fields)
          fields.reject do |_, value|
            value.nil? || value == false || (value.respond_to?(:empty?) && value.empty?)
          end
        end

        def index(list, key)
          @content.fetch(list, []).index { |row| row["key"] == key } || raise(KeyError, "no #{key} among the #{list}")
        end

        def change(list, key)
          at = index(list, key)
          @content.merge(list => @content.fetch(list).each_with_index.map do |row, index|
            index == at ? yield(row) : row
          end)
        end

        def insert(list, row, after)
          at = after ? index(list, after) + 1 : 0
          @content.merge(list => @content.fetch(list).dup.insert(at, row))
        end

        def free_key(name, list)
          stem = stem_of(name)
          taken = @content.fetch(list, []).map { |row| row["key"] }
          [stem, *(2..).lazy.map { |number| "#{stem}-#{number}" }.first(taken.size + 1)]
            .find { |key| !taken.include?(key) }
        end

        # Plain letters and numbers, parted by dashes.
        def stem_of(name)
          plain = name.downcase.unicode_normalize(:nfkd).gsub(/\p{M}/, "")
          stem = plain.gsub(/[^a-z0-9]+/, "-")[0, MOST_LETTERS].gsub(/\A-+|-+\z/, "")
          stem.empty? ? "place" : stem
        end
      end
    end
  end
end
