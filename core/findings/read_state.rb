# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Parts that are read by one look: the state decides. (Common practice throughout.)
      class ReadState < Reader
        CLAUSES = %i[by_state].freeze

        TABLE = {
          seal: { "clean" => [:leave, "The seal is clean and seated."],
                  "dirty" => [:clean, "A dirty seal leaks as surely as a torn one: wipe it."],
                  "lifted" => [:clean, "The seal has lifted: wipe it and seat it again."],
                  "torn" => [:replace, "The seal is torn: it cannot hold suction."] },
          flap: { "closes" => [:leave, "The flap closes fully."],
                  "gapes" => [:clean, "The flap gapes: dust under it, dirt falls straight out again."],
                  "broken" => [:replace, "The flap is broken."] },
          path: { "clear" => [:leave, "The way is clear."],
                  "partly" => [:clean, "Partly blocked: push it through with a blunt rod."],
                  "blocked" => [:clean, "Blocked: push it through with a blunt rod."] },
          roll: { "free" => [:leave, "The roll spins freely."],
                  "drags" => [:clean, "The roll drags: hair at the ends and on the bearings."],
                  "stuck" => [:clean, "The roll is stuck: free the ends first; if it still sticks, refer."] },
          contacts: { "bright" => [:leave, "The contacts are bright."],
                      "dirty" => [:clean, "Dirty contacts mimic a weak pack: dry cloth only."],
                      "burnt" => [:refer, "Burnt contacts: stop, and refer to a competent person."] },
          battery: { "sound" => [:leave, "The pack looks sound."],
                     "weak" => [:refer, "The pack runs short: offer a pack from the maker."],
                     "swollen" => [:refer, "Swollen, hot, leaking or wetted: stop, keep it apart, take it to a battery collection point."] },
          lead: { "sound" => [:leave, "The lead is sound along its whole length."],
                  "damaged" => [:refer, "Damaged lead: stop. Repair and safety test belong to a competent person under local rules."] }
        }.freeze
        STOPS = { contacts: %w[burnt], battery: %w[swollen], lead: %w[damaged] }.freeze

        private

        def by_state
          state = @observed[:state] || @observed[:turns]
          return if state.nil?

          mark, reason = TABLE.fetch(@position.kind).fetch(state)
          stop = STOPS.fetch(@position.kind, []).include?(state)
          say(mark, :"#{@position.kind}_#{state}", reason, confidence: :high, stop: stop)
        end
      end
    end
  end
end
