# frozen_string_literal: true

module UprightBench
  module Screens
    # Who did not answer the last card, to be called, or chosen again.
    module Unanswered
      def self.registered(app)
        app.get "/cards/unanswered" do
          @title = "No answer"
          book = Services::DueBook.new(today: today, policies: policies)
          erb :"unanswered/page", locals: { rows: Queries::Unanswered.call(book) }
        end

        app.post "/cards/unanswered", may: :work do
          chosen = Services::WriteAgain.call(id_list(params["customer_ids"]), by: person, at: now)
          say "#{counted(chosen, 'customer')} may get a card again: see who hears today."
          redirect "/cards#leaving", 303
        end
      end
    end
  end
end
