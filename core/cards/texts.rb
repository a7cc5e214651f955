# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # Every text that a customer reads, as it comes with the product: name => text, the fields it may have, those it
      # must have, what it is. Words are those of one language.
      module Texts
        LETTER = %i[customer machine first_task and_more tasks opening offer shop phone link].freeze

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
          page_come_on: ["I will come by on", [], [], "Which day"],
          page_some_day: ["some day soon", [], [], "No certain day"],
          will_come: ["I will come by", [], [], "Answer: comes"],
          send_part: ["Please send me the part", [], [], "Answer: wants the part"],
          done_elsewhere: ["It has been done", [], [], "Answer: done"],
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
          weekdays: ["Monday, Tuesday, Wednesday, Thursday, Friday, Saturday, Sunday", [], [],
                     "The weekdays' names, from Monday"]
        }.freeze

        ALL = CARD.merge(PAGE).freeze
      end
    end
  end
end
