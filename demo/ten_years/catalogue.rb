# frozen_string_literal: true

module UprightBench
  module Demo
    class TenYears
      # 3,000 models of 60 invented makers, 20,000 parts, and 200,000 places where they are listed to fit. The models
      # are the demo's under other names.
      class Catalogue
        MODELS = 3000
        PARTS = 20_000
        RULES_A_PART = 10
        MAKERS = 60
        NEVER_STOCKED = 7 # of so many parts, one

        # @param by [Integer] a person's id
        # @param share [Float] less makes a smaller one
        def initialize(by, share: 1.0)
          @by = by
          @models = [(MODELS * share).to_i, MAKERS].max
          @parts = (PARTS * share).to_i
          @first = %i[sheets sheet_versions parts].to_h { |table| [table, DB[table].max(:id) + 1] }
          @contents = Models::SheetVersion.order(:id).map { |version| version.content.to_hash }
        end

        # @return [Array<Hash>] as Bulk takes them
        def all
          [table(:sheets, %i[id maker model_name current_version_id], @models) { |row| sheet(row) },
           table(:sheet_versions, %i[id sheet_id version content created_by], @models) { |row| version(row) },
           table(:parts, %i[id number name kind measures price_cents life_months created_by],
             @parts) { |row| part(row) },
           table(:fit_rules, %i[part_id position model_title], @parts) { |row| rules(row) },
           table(:stock_moves, %i[part_id pieces kind moved_by], @parts) { |row| received(row) },
           table(:stock_levels, %i[part_id pieces], @parts) { |row| never_stocked(row) }]
        end

        # The customers' machines become machines of all these models: of one with the same places.
        def spread
          alike = @models / @contents.size
          own_sheets.each_with_index do |sheet_id, at|
            Models::Machine.where(sheet_id: sheet_id).where(Sequel.lit("id % 2 = 0"))
              .update(sheet_id: (Sequel.lit("(id / 2) % ?", alike) * @contents.size) + @first[:sheets] + at)
          end
        end

        def own_sheets
          versions = Models::SheetVersion.order(:id).limit(@contents.size).select(:sheet_id)
          Models::Sheet.where(id: versions).order(:current_version_id).select_map(:id)
        end

        private

        def table(name, columns, count)
          { name: name, columns: columns, rows: Enumerator.new { |out| count.times { |row| out << yield(row) } } }
        end

        def maker(row)
          "#{Crowd::BEGINNINGS[row % MAKERS % 36]}#{row % MAKERS < 36 ? 'works' : 'craft'}"
        end

        def model(row)
          "#{%w[Ash Bay Cove Dune Elm][(row / MAKERS) % 5]} #{row / MAKERS}"
        end

        def content(row)
          @contents[row % @contents.size]
        end

        def sheet(row)
          "#{@first[:sheets] + row}\t#{maker(row)}\t#{model(row)}\t#{@first[:sheet_versions] + row}\n"
        end

        def version(row)
          whole = content(row).merge("maker" => maker(row), "model" => model(row),
            "family" => "#{maker(row)} #{row % 7}")
          written = JSON.generate(whole).gsub("\\") { "\\\\" }
          "#{@first[:sheet_versions] + row}\t#{@first[:sheets] + row}\t1\t#{written}\t#{@by}\n"
        end

        def place(row)
          places = content(row)["positions"]
          places[(row / 13) % places.size]
        end

        # Of the place's size, a millimetre or some more or less.
        def part(row)
          sizes = place(row).fetch("measures", {}).slice("length_mm", "width_mm", "diameter_mm")
            .transform_values { |size| size + (Crowd.mix(row) % 9) - 4 }
          "#{@first[:parts] + row}\t#{format('X%<row>06d', row: row)}\t#{place(row)['name']}, " \
            "#{maker(row)}\t#{place(row)['kind']}\t" \
            "#{JSON.generate(sizes)}\t#{500 + (row % 4000)}\t12\t#{@by}\n"
        end

        # Some of most parts, which the database counts into the level; none of every seventh.
        def received(row)
          pieces = row % NEVER_STOCKED
          pieces.zero? ? "" : "#{@first[:parts] + row}\t#{pieces}\treceived\t#{@by}\n"
        end

        def never_stocked(row)
          (row % NEVER_STOCKED).zero? ? "#{@first[:parts] + row}\t0\n" : ""
        end

        def rules(row)
          Array.new(RULES_A_PART) do |at|
            other = (row + (at * MAKERS * 7)) % @models
            other += (row % MAKERS) - (other % MAKERS)
            "#{@first[:parts] + row}\t#{place(row)['key']}\t#{maker(row)} #{model(other.clamp(0, @models - 1))}\n"
          end.join
        end
      end
    end
  end
end
