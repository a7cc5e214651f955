# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # Why a task is on no card today, with the day or the number of cards that it is about (nil for none).
      class Hold
        include Value

        # kind => what is said of one, and what many are counted as
        WORDS = {
          not_carded: ["looked after at home"],
          on_the_bench: ["the machine is on the bench"],
          sold: ["the machine is sold"],
          scrapped: ["the machine is scrapped"],
          snoozed: ["asked not before %s", "asked to wait"],
          just_here: ["was here on %s", "was here lately"],
          recently_carded: ["a card left on %s", "got a card lately"],
          often_enough: ["%s cards left already", "got all their cards"]
        }.freeze

        fields :kind, about: nil

        # @return [String] as in "was here on 5 Apr 2026"
        def words
          WORDS.fetch(kind).first.sub("%s") { about.is_a?(Date) ? Units::Day.words(about) : about.to_s }
        end

        # @return [String] without the day, as in "was here lately"
        def counted_as
          WORDS.fetch(kind).last
        end
      end
    end
  end
end
