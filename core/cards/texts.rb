# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # Every text that a customer reads, as it comes with the product: name => text, the fields it may have, those it
      # must have, what it is. Words are those of one language.
      module Texts
        LETTER = %i[customer machine first_task and_more tasks opening offer price hours shop phone link].freeze

        # A text for each channel, and the small phrases that are put into them.
        CARD = {
          email_subject: ["{machine}: {first_task}{and_more}", LETTER - %i[tasks link], [], "E-mail: subject"],
          email_body: ["Dear {customer},\n\n{opening}\n\n{tasks}\n\n{offer}\n\nDrop in, or call {phone}. Answer, put " \
                       "off or stop these cards here:\n\n{link}\n\n{shop}\n{phone}",
                       LETTER, %i[tasks link], "E-mail"],
          text_body: ["{shop}: {machine}: {first_task}{and_more}. {offer} Answer, or stop: {link}", LETTER, %i[link],
                      "Text message"],
          post_body: ["Dear {customer},\n\n{opening}\n\n{tasks}\n\n{offer}\n\nDrop in, or call {phone}. Answer, put " \
                      "off or stop these cards by the code.",
                      LETTER - %i[link], %i[tasks], "Post card"],
          phone_body: ["{customer}: {tasks}\n\n{offer}\n\nWould you like to bring it in?", LETTER - %i[link], %i[tasks],
                       "What is said on the phone"],
          opening: ["your machine is due for service:", [], [], "Opening of a first card"],
          opening_again: ["we wrote to you before, and this is still due:", [], [], "Opening of a follow-up"],
          offer: ["{minutes} minutes of bench time are free when we fit it by {until}.", %i[minutes until],
                  %i[minutes until], "An offer"],
          price: ["A new {part} costs {price}, tax included.", %i[part price], %i[price], "What a part costs"],
          open_day: ["{day} {times}", %i[day times], %i[day times], "Opening hours of a day"],
          open_days: ["{first} to {last} {times}", %i[first last times], %i[first last times],
                      "Opening hours of some days"],
          replace: ["a new {part}", %i[part], %i[part], "To replace"],
          wash: ["a wash for the {part}", %i[part], %i[part], "To wash"],
          clean: ["a clean of the {part}", %i[part], %i[part], "To clean"],
          inspect: ["a look at the {part}", %i[part], %i[part], "To look over"],
          due_in: ["due in {month}", %i[month year], [], "Due in the coming months"],
          due_since: ["due since {month}", %i[month year], [], "Overdue"],
          and_more: [" and {count} more", %i[count], %i[count], "More tasks than are named"],
          months: ["January, February, March, April, May, June, July, August, September, October, November, December",
                   [], [], "The months' names"]
        }.freeze

        # The page behind a card's code.
        PAGE = {
          page_title: ["Your machines", [], [], "Title"],
          page_hello: ["Hello, {customer}", %i[customer], [], "Greeting"],
          page_offer_used: ["The free bench time of this card was used on {day}.", %i[day], %i[day],
                            "An offer that was used"],
          page_offer_lapsed: ["The free bench time of this card ended on {day}.", %i[day], %i[day],
                              "An offer that is over"],
          page_due: ["What is due", [], [], "Over what is due"],
          page_over: ["done or no longer followed", [], [], "What is due no longer"],
          page_why: ["Why then?", [], [], "To see why a date is as it is"],
          page_told: ["You told us: {answers}. Thank you. You can still tell us something else below.", %i[answers],
                      %i[answers], "What was answered"],
          page_booking: ["You bring a machine on {day}. Another day below moves it.", %i[day], %i[day],
                         "A day that was booked"],
          page_calendar: ["Put it in a calendar", [], [], "To take that day along"],
          page_tell: ["Tell us", [], [], "Over the answers"],
          page_note: ["A word to us, if you like", [], [], "A word beside the answer"],
          page_send_to: ["Where to send a part", [], [], "Over an address for a part"],
          page_street: ["Street and number", [], [], "Address: street"],
          page_town: ["Town", [], [], "Address: town"],
          page_region: ["State or province", [], [], "Address: region"],
          page_postcode: ["Postcode", [], [], "Address: postcode"],
          page_come_on: ["I will come by on", [], [], "Which day"],
          page_some_day: ["some day soon", [], [], "No certain day"],
          will_come: ["I will come by", [], [], "Answer: comes"],
          send_part: ["Please send me the part", [], [], "Answer: wants the part"],
          done_elsewhere: ["It has already been done", [], [], "Answer: done"],
          page_again: ["Not now: write again", [], [], "When to write again"],
          page_weeks: ["in {count} weeks", %i[count], %i[count], "In so many weeks"],
          not_now: ["Not now", [], [], "Answer: later"],
          page_which: ["Which machine?", [], [], "Which machine"],
          no_longer_have: ["I no longer have the machine", [], [], "Answer: has it no longer"],
          stop_writing: ["Stop writing to me", [], [], "Answer: stop"],
          page_stop: ["No more cards, messages or calls about your machines, {customer}?", %i[customer], [],
                      "Asked before it stops"],
          page_stop_not: ["No, back to the card", [], [], "To go on as before"],
          page_stopped: ["We have stopped writing to you", [], [], "Over what was stopped"],
          page_stopped_so: ["No more cards, messages or calls about your machines. What we know of them stays in our " \
                            "book, so that we can help when you come.",
                            [], [], "What that means"],
          page_back: ["Back to your card", [], [], "Back to the card"],
          date: ["{weekday}, {day} {month}", %i[weekday day month], %i[day month], "A day"],
          full_date: ["{day} {month} {year}", %i[day month year], %i[day month year], "A day with its year"],
          weekdays: ["Monday, Tuesday, Wednesday, Thursday, Friday, Saturday, Sunday", [], [],
                     "The weekdays' names, from Monday"]
        }.freeze

        CLOCK = %i[amount from until adjusted].freeze

        # Why a date is as it is, on that page.
        WHY = {
          why_hours: ["{amount} of use since {from}, at about {rate} a week{adjusted}: {until}", [*CLOCK, :rate],
                      %i[until], "By hours of use"],
          why_months: ["{amount} since {from}{adjusted}: {until}", CLOCK, %i[until], "By months"],
          why_counted: ["after {amount}, {counted} of them since {from}{adjusted}: {until}",
                        [*CLOCK, :counted], %i[until], "By bags or washes"],
          why_counted_none: ["after {amount}, reckoned from {from}{adjusted}: {until}", CLOCK, %i[until],
                             "By bags or washes that nobody counted"],
          why_indicator: ["its indicator stood at {percent} % on {read}: {until}",
                          %i[percent read from until adjusted], %i[until], "By its indicator"],
          why_seen: ["we found it about {found} % worn or full on {seen}{adjusted}: {until}",
                     %i[found seen adjusted until], %i[until], "By what was found"],
          why_seen_little: ["we found it little worn or filled on {seen}{adjusted}: {until}",
                            %i[seen adjusted until], %i[until], "By what was found, where that was little"],
          why_unknown: ["we do not know when this was last done, so it is time for a look", [], [],
                        "When its history is unknown"],
          why_start_unknown: ["we looked at it on {seen}, but do not know since when it has been in: best looked at " \
                              "again", %i[seen], %i[seen], "When nobody knows since when it has been in"],
          why_nothing: ["it is not used, so nothing falls due", [], [], "When nothing runs"],
          why_other: ["due on {until}", %i[until], %i[until], "Any other reason"],
          why_household: ["sooner because of {traits}", %i[traits], %i[traits], "What the household does"],
          why_found: ["adjusted to what we found in it before", [], [], "What was found before"],
          traits: ["pets that shed, building dust, long hair, daily use, a smoker", [], [],
                   "The household: pets, dust, long hair, daily use, smoker"],
          count_hours: ["hour, hours", [], [], "One hour, many hours"],
          count_months: ["month, months", [], [], "One month, many months"],
          count_bags: ["bag, bags", [], [], "One bag, many bags"],
          count_washes: ["wash, washes", [], [], "One wash, many washes"]
        }.freeze

        ALL = { **CARD, **NoticeTexts::ALL, **PAGE, **WHY }.freeze

        # Days as they come where the month stands first (Units::Writing).
        MONTH_FIRST = { date: "{weekday}, {month} {day}", full_date: "{month} {day}, {year}" }.freeze

        # @param name [Symbol]
        # @return [String]
        # @raise [KeyError]
        def self.as_it_comes(name)
          return ALL.fetch(name).first if Units::Writing.now.date_order == "dmy"

          MONTH_FIRST.fetch(name) { ALL.fetch(name).first }
        end
      end
    end
  end
end
