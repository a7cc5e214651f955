# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # All that a card says, in one language: a text for each channel and the small phrases that are put into them. What the
      # owner has not worded is as it comes.
      #
      #   Words.new(texts: { replace: "a fresh {part}" }).phrase(:replace, part: "cassette")  # => "a fresh cassette"
      class Words
        include Value

        # @!attribute texts [Hash{Symbol=>String}] what the owner has worded
        fields texts: {}

        CARD = %i[customer machine first_task and_more tasks opening offer shop phone link].freeze
        # name => text, the fields it may have, those it must have, what it is
        ALL = {
          email_subject: ["{machine}: {first_task}{and_more}", CARD - %i[tasks link], [], "E-mail: subject"],
          email_body: ["Dear {customer},\n\n{opening}\n\n{tasks}\n\n{offer}\n\nDrop in, or call {phone}. Answer, put off or stop these cards here:\n\n{link}\n\n{shop}\n{phone}",
                       CARD, %i[tasks link], "E-mail"],
          text_body: ["{shop}: {machine}: {first_task}{and_more}. {offer} Answer, or stop: {link}", CARD, %i[link], "Text message"],
          post_body: ["Dear {customer},\n\n{opening}\n\n{tasks}\n\n{offer}\n\nDrop in, or call {phone}. Answer, put off or stop these cards by the code.",
                      CARD - %i[link], %i[tasks], "Post card"],
          phone_body: ["{customer}: {tasks}\n\n{offer}\n\nWould you like to bring it in?", CARD - %i[link], %i[tasks], "What is said on the phone"],
          opening: ["we keep the book on your machine, and this is due:", [], [], "Opening of a first card"],
          opening_again: ["we wrote to you before; this is still waiting:", [], [], "Opening of a follow-up"],
          offer: ["{minutes} minutes of bench time are free when we fit it by {until}.", %i[minutes until], %i[minutes until], "An offer"],
          replace: ["a new {part}", %i[part], %i[part], "To replace"],
          wash: ["a wash for the {part}", %i[part], %i[part], "To wash"],
          clean: ["a clean of the {part}", %i[part], %i[part], "To clean"],
          inspect: ["a look at the {part}", %i[part], %i[part], "To look over"],
          due_in: ["due in {month}", %i[month year], [], "Due in the coming months"],
          due_since: ["due since {month}", %i[month year], [], "Overdue"],
          and_more: [" and {count} more", %i[count], %i[count], "More tasks than are named"],
          months: ["January, February, March, April, May, June, July, August, September, October, November, December", [], [], "The months' names"]
        }.freeze
        MONTHS = 12

        # @return [Hash{Symbol=>Array<String>}] what is wrong with the owner's texts, by name
        def problems
          texts.to_h { |name, text| [name, problems_of(name, text)] }.reject { |_, found| found.empty? }
        end

        # @return [String] as the owner worded it, or as it comes
        def text(name)
          texts.fetch(name) { ALL.fetch(name).first }
        end

        # @raise [Wording::Missing]
        def phrase(name, **values)
          Wording.new(text: text(name)).fill(values)
        end

        # @param date [Date]
        # @return [String] as in "March 2027"
        def month(date)
          "#{text(:months).split(',').map(&:strip).fetch(date.month - 1)} #{date.year}"
        end

        private

        def problems_of(name, text)
          _, allowed, needed, = ALL.fetch(name)
          names = Wording.new(text: text).names
          found = []
          found << "has no text" if text.strip.empty?
          found << "knows no #{braces(names - allowed)}; there is #{allowed.empty? ? 'no field here' : braces(allowed)}" if (names - allowed).any?
          found << "must say #{braces(needed - names)}" if (needed - names).any?
          found << "are twelve names, parted by commas" if name == :months && text.split(",").map(&:strip).reject(&:empty?).size != MONTHS
          found
        end

        def braces(names)
          names.map { |name| "{#{name}}" }.join(" ")
        end
      end
    end
  end
end
