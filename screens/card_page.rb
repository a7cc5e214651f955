# frozen_string_literal: true

module UprightBench
  module Screens
    # The customer's page behind a card's code: no account, only the code.
    module CardPage
      def self.registered(app)
        app.helpers Helpers

        app.get "/c/:code" do
          customer_card(card_of(params["code"]))
        end

        app.post "/c/:code" do
          card = card_of(params["code"])
          begin
            Services::AnswerCard.call(card, kind: params["kind"].to_s, note: answer_note, weeks: params.fetch("weeks", "4"), at: now,
                                            machine_id: params["machine_id"].to_s.empty? ? nil : id_of(params["machine_id"]))
            redirect "/c/#{params['code']}", 303
          rescue Services::Invalid => e
            status 422
            customer_card(card, problem: e.message)
          end
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        # @raise [Services::NotFound] for a code that is not ours or no longer good: which of them is not told
        def card_of(code)
          card = Models::Card.with_pk(Outbox::CardLetter.codes.read(code, today: today))
          card || raise(Services::NotFound, "This code is not good, or no longer. Call us: #{shop.phone}.")
        rescue Formats::SignedCode::Bad
          raise Services::NotFound, "This code is not good, or no longer. Call us: #{shop.phone}."
        end

        def customer_card(card, problem: nil)
          headers "cache-control" => "no-store", "x-robots-tag" => "noindex"
          @title = "Your machines"
          dues = Models::Due.where(id: card.lines.map(&:due_id)).eager(machine: :sheet).order(:due_on).all
          erb :"card_page/page", layout: :"card_page/layout", locals: { card: card, dues: dues, problem: problem, answers: card.answers_dataset.order(:id).all }
        end

        def answer_note
          note = Job::Note.of(params["note"], :note).to_s.strip
          note.empty? ? nil : note
        end
      end
    end
  end
end
