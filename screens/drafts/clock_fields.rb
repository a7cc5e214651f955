# frozen_string_literal: true

module UprightBench
  module Screens
    module Drafts
      # The clocks of a position, from the rows of a form, and back. A row is one clock; those of one action are one
      # task, done by whichever runs out first.
      module ClockFields
        # What a clock counts, as it is chosen, and as a sheet writes it.
        CLOCKS = Core::Clocks::Kinds::CHOICES
        WORDS = English::Clocks::COUNTS
        GOES_BY = { "" => "usual", "fixed" => "fixed limit", "condition" => "wear and dirt" }.freeze

        module_function

        # @return [Array<Hash>] tasks as a sheet writes them
        def read(typed)
          rows = Typed.rows(typed).reject { |row| row["limit"].to_s.strip.empty? }
          rows.group_by { |row| [Typed.words(row["key"]) || row["action"].to_s, row["action"].to_s] }
            .map { |(key, action), same| task(key, action, same) }
        end

        def task(key, action, rows)
          task = { "key" => key, "action" => action, "clocks" => rows.map { |row| clock(row) } }
          rows.any? { |row| row["card"] == "1" } ? task : task.merge("card" => false)
        end

        # @param tasks [Array<Hash>, nil] of a sheet
        # @return [Array<Hash>] rows as they are typed
        def write(tasks)
          (tasks || []).flat_map { |task| task["clocks"].map { |clock| row(task, clock) } }
        end

        def clock(row)
          kind = CLOCKS.fetch(row["counts"].to_s, { "kind" => row["counts"].to_s })
          { **kind, "limit" => Typed.number(row["limit"]), **(kind["of"] ? each_lasts(row) : {}), **goes_by(row) }
        end

        # Empty: as it is usual for the kind of part.
        def goes_by(row)
          { "goes_by" => Typed.words(row["goes_by"]) }.compact
        end

        # How long a bag, or from wash to wash.
        def each_lasts(row)
          unit = row["each_unit"] == "months" ? "each_months" : "each_hours"
          { unit => Typed.number(row["each"]) }.compact
        end

        def row(task, clock)
          { "key" => task["key"], "action" => task["action"], "card" => (task.fetch("card", true) ? "1" : nil),
            "limit" => clock["limit"],
            "counts" => clock["of"] || clock["kind"], "each" => clock["each_hours"] || clock["each_months"],
            "each_unit" => clock["each_months"] ? "months" : "hours", "goes_by" => clock["goes_by"] }
        end
      end
    end
  end
end
