# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # A sheet as it was written before it had steps, brought to the format of today: what held a place and what it was
      # behind become steps, the numbers of refitting an order of places. What is of today's format stays as it is.
      class Upgrade
        FORMATS = [Shape::FORMAT, "upright-bench/sheet/1"].freeze
        WENT = %w[fasteners behind refit_order beyond_handbook].freeze
        # Drivers of old that name no driver.
        KINDS = { "coin slot" => "coin_lock", "clip ring" => "clip_ring", "clip" => "clip" }.freeze

        # @param data [Object] as JSON gives it
        # @return [Object] the same when it is of today's format, or of none that is known
        def self.call(data)
          old?(data) ? new(data).call : data
        end

        def self.old?(data)
          data.is_a?(Hash) && data["format"] == FORMATS.last && data["positions"].is_a?(Array) &&
            data["positions"].all? { |row| row.is_a?(Hash) && sound?(row) }
        end

        # What is not sound is left for the rules to refuse.
        def self.sound?(row)
          Array(row["behind"]).all?(String) && (row["fasteners"].nil? || sound_list?(row["fasteners"])) &&
            (row["behind"].nil? || row["behind"].is_a?(Array)) && row.fetch("refit_order", 1).is_a?(Numeric)
        end

        def self.sound_list?(list)
          list.is_a?(Array) && list.all?(Hash)
        end
        private_class_method :old?, :sound?, :sound_list?

        def initialize(data)
          @data = data
          @rows = data["positions"].to_h { |row| [row["key"], row] }
        end

        # @return [Hash{String=>Object}]
        def call
          steps = @data["positions"].select { |row| step?(row) }.map { |row| step(row) }
          content = @data.merge("format" => Shape::FORMAT, "positions" => @data["positions"].map { |row| place(row) })
          steps.empty? ? content : content.merge("steps" => steps)
        end

        private

        def place(row)
          following = numbered[numbered.index(row) + 1] if numbered.include?(row)
          row.except(*WENT).merge(following ? { "refit_before" => [following["key"]] } : {})
        end

        def numbered
          @numbered ||= @data["positions"].select { |row| row["refit_order"] }.sort_by { |row| row["refit_order"] }
        end

        def step?(row)
          of_its_own?(row) || @data["positions"].any? { |other| Array(other["behind"]).include?(row["key"]) }
        end

        # It has to be opened itself, beyond what it is behind.
        def of_its_own?(row)
          Array(row["fasteners"]).any? || row["beyond_handbook"] == true || nearest(row).size > 1
        end

        def step(row)
          { "key" => row["key"], "name" => "Take off the #{row['name'].to_s.downcase}"[0, Shape::LONGEST],
            "takes_off" => [row["key"]], "after" => nearest(row), "opens" => opens(row),
            "fasteners" => Array(row["fasteners"]).map { |held| fastener(held) },
            "beyond_handbook" => row["beyond_handbook"] || nil }.compact.reject { |_, value| value == [] }
        end

        def opens(row)
          behind = @data["positions"].select { |other| !of_its_own?(other) && nearest(other) == [row["key"]] }
          [*(row["key"] if of_its_own?(row)), *behind.map { |other| other["key"] }]
        end

        # @return [Array<String>] what it is behind, without what that is behind already
        def nearest(row)
          keys = Array(row["behind"])
          keys.reject { |key| keys.any? { |other| other != key && behind_all(other).include?(key) } }
        end

        def behind_all(key, seen = [])
          Array(@rows.dig(key, "behind")).each_with_object(seen) do |other, found|
            next if found.include?(other)

            found << other
            behind_all(other, found)
          end
        end

        def fastener(held)
          kind = KINDS[held["driver"]]
          kind ? held.except("driver").merge("kind" => kind) : held
        end
      end
    end
  end
end
