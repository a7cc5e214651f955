# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # The words of a card, the same on paper and in the mail: names the customer, the machine and the part,
      # and when it is due.
      class Letter
        # One task as the customer reads it.
        class Line
          include Value

          fields :machine, :part, :action, :due_on, :overdue

          VERBS = { "replace" => "a new", "wash" => "a wash for the", "clean" => "a clean of the", "inspect" => "a look at the" }.freeze

          # @return [String] as in "a new exhaust cassette, due in March 2027"
          def words
            "#{VERBS.fetch(action)} #{part.downcase}, #{overdue ? 'due since' : 'due in'} #{due_on.strftime('%B %Y')}"
          end
        end

        include Value

        fields :customer, :shop, :shop_phone, :lines, :link, attempt: 1

        def subject
          first = lines.first
          "#{first.machine}: #{first.words}#{" and #{lines.size - 1} more" if lines.size > 1}"
        end

        def greeting
          "Dear #{customer},"
        end

        def opening
          return "we keep the book on your machine, and this is due:" if attempt == 1

          "we wrote to you before; this is still waiting:"
        end

        # @return [Hash{String=>Array<Line>}] by machine
        def by_machine
          lines.group_by(&:machine)
        end

        def closing
          "Drop in, or call #{shop_phone}. Answer, put off or stop these cards here:"
        end

        # @return [String] the whole letter as plain text
        def text
          tasks = by_machine.map { |machine, rows| "#{machine}\n#{rows.map { |row| "  - #{row.words}" }.join("\n")}" }
          [greeting, opening, *tasks, closing, link, "#{shop}\n#{shop_phone}"].join("\n\n")
        end
      end
    end
  end
end
