# frozen_string_literal: true

require "json"

module UprightBench
  module Measure
    # docs/kinds.md, which a technician can check, and the kinds of part and of clock that docs/sheet.schema.json lists:
    # both drawn from core/kinds/, core/clocks/kinds/ and english/kinds/.
    class KindsPage
      DOCS = File.expand_path("../docs", __dir__)
      FILE = File.join(DOCS, "kinds.md")
      SCHEMA = File.join(DOCS, "sheet.schema.json")
      # where it stands in the schema => the keys that are listed there
      IN_SCHEMA = {
        %w[$defs position properties kind enum] => Core::Kinds::ALL.keys,
        %w[$defs clock properties kind enum] => Core::Clocks::Kinds::BY_KEY.keys,
        %w[$defs clock properties of enum] => Core::Clocks::Kinds::Count::COUNTED,
        %w[$defs clock properties goes_by enum] => Core::Clocks::Clock::GOES_BY
      }.freeze
      HEAD = <<~MARKDOWN
        # What we know of each kind of part
        Drawn from `core/kinds/` and `english/kinds/` by `bin/rake docs:kinds`; a test says when it is stale.

        What may be wrong, and what follows from it, is common practice. How often (weights beside each other), how
        surely a look shows it, and which slot of the rack it takes, are house rules; shares of the air path's
        resistance are from memory. Whoever repairs such machines is asked to say what is wrong here.

      MARKDOWN
      WORDS = { emptied: "first: it must be empty before anything is opened", dusts: "outdoors, as it dusts",
                cut_free: "cut free", along_the_air: "along the air path",
                a_good_one: "a known good one", leaving_it_out: "leaving it out for a moment" }.freeze

      def write
        File.write(FILE, text)
        File.write(SCHEMA, schema)
      end

      # @return [String] Markdown
      def text
        HEAD + at_a_glance + Core::Kinds.all.map { |kind| section(kind, English::Kinds.fetch(kind.key)) }.join("\n")
      end

      # @return [String] JSON: what stands there by hand, with the kinds that there are
      def schema
        all = JSON.parse(File.read(SCHEMA))
        IN_SCHEMA.each { |place, keys| all.dig(*place).replace(keys.map(&:to_s)) }
        "#{JSON.pretty_generate(all)}\n"
      end

      private

      def table(heads, rows)
        ["| #{heads.join(' | ')} |", "|#{' --- |' * heads.size}", *rows.map { |row| "| #{row.join(' | ')} |" }]
          .join("\n") << "\n"
      end

      def at_a_glance
        rows = Core::Kinds.all.map do |kind|
          [named(kind.key), kind.resistance, Core::Drying::SlotSize::WORDS.fetch(kind.slot),
           WORDS.fetch(kind.cleaned), kind.cracked, kind.wet]
        end
        table(["kind", "share of the air path", "rack slot", "cleaned", "cracked", "wet"], rows) << "\n"
      end

      def section(kind, words)
        ["## #{named(kind.key).capitalize}\n", *traits(kind), "Looked at: #{words.act} It shows: #{words.sign}." \
                                                              "#{" Needs: #{words.tool}." if words.tool}\n",
         *asked(kind, words), *states(kind, words), *faults(kind, words), *shelf(kind, words)].join("\n")
      end

      def traits(kind)
        said = kind.traits.map { |trait| Core::Kind::TRAITS.fetch(trait) }
        said.any? ? ["#{said.join('; ').sub(/\A./, &:upcase)}.\n"] : []
      end

      def asked(kind, words)
        if kind.asked.any?
          ["Asked: #{kind.asked.map do |name, field|
            "#{words.labels.fetch(name)}#{range(field)}"
          end.join('; ')}.\n"]
        else
          []
        end
      end

      def range(field)
        case field.type
        when :measure then " (#{field.range.begin} to #{field.range.end} #{field.unit})"
        when :flag then ""
        else " (#{field.options.join(', ')})"
        end
      end

      def states(kind, words)
        return [] unless kind.states_in

        rows = kind.states.map do |word, state|
          said = words.found.fetch(:"#{kind.key}_#{word.tr(' -', '_')}")
          [word, "#{state.verdict}#{', washed where the sheet allows it' if state.wash_helps}",
           said[:both] || said[:staff], said[:both] || said[:customers]]
        end
        [table(["state", "verdict", "to staff", "to customers"], rows)]
      end

      def faults(kind, words)
        rows = kind.faults.values.map do |fault|
          [words.faults.fetch(fault.key), found_as(fault), fault.seen, fault.air, often(fault), behind(fault)]
        end
        [table(["fault", "found as", "a look shows it", "air", "explains (weight)", "may come of"], rows)]
      end

      def found_as(fault)
        found = fault.observed.map { |name, value| value == true ? named(name) : "#{named(name)} #{value}" }.join(", ")
        fault.shown_by ? "#{found}; also by #{WORDS.fetch(fault.shown_by)}" : found
      end

      def often(fault)
        fault.explains.map { |complaint, weight| "#{named(complaint)} #{weights(weight)}" }.join(", ")
      end

      def weights(weight)
        return weight unless weight.is_a?(Hash)

        others = weight.except(:any).map { |machine, its| "#{machine} #{its}" }
        "#{weight.fetch(:any)} (#{others.join(', ')})"
      end

      def behind(fault)
        fault.behind_it.flat_map { |part, keys| keys.map { |key| "#{named(part)}: #{English::Faults.of(part, key)}" } }
          .join(", ")
      end

      def shelf(kind, words)
        said = { "measured" => kind.sides.map { |side| side.to_s.delete_suffix("_mm") },
                 "told apart by" => kind.told_apart_by.keys.map { |key| named(key) },
                 "its sheet may give" => words.measures.values.map(&:downcase) }.reject { |_, list| list.empty? }
        ["On the shelf: #{said.map { |what, list| "#{what} #{list.join(', ')}" }.join('; ')}.\n"]
      end

      def named(key)
        key.to_s.tr("_", " ")
      end
    end
  end
end
