# frozen_string_literal: true

module UprightBench
  module Screens
    # One batch of cards: how far it is, what was left out, to pause, to go on, to cancel, and to print.
    module Batches
      PAGE = 100
      AGAIN_SECONDS = 2 # until its progress is looked at again

      def self.registered(app)
        app.helpers Helpers
        app.get("/cards/batches/:id") { batch_page(batch_asked) }
        app.get("/cards/batches/:id/progress") { batch_progress(batch_asked) }

        app.post "/cards/batches/:id/steer" do
          Services::SteerBatch.call(batch_asked, params["move"].to_s, by: person, at: now)
          redirect "/cards/batches/#{batch_asked.id}", 303
        end

        app.get "/cards/batches/:id/print.pdf" do
          send_paper("batch", batch: batch_asked.id, sheet: Papers::CardSheet::SHEETS_MM.key?(params["sheet"]) ? params["sheet"] : "a4")
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def batch_asked
          Services::Lookup.one(Models::Batch, id_of(params["id"]))
        end

        def batch_page(batch)
          @title = "Batch of #{moment(batch.created_at)}"
          channels = batch.messages_dataset.unordered.group_and_count(:channel).naked.as_hash(:channel, :count)
          erb :"batches/page", locals: { batch: batch, counts: batch.counts, messages: batch_messages(batch, id_of(params["after"] || "0")), channels: channels }
        end

        # @param after [Integer] the last one of the page before
        def batch_messages(batch, after)
          message = Sequel[:messages]
          batch.messages_dataset.where(message[:id] > after).join(:cards, id: :card_id).join(:customers, id: Sequel[:cards][:customer_id]).naked.order(message[:id]).limit(PAGE)
               .select(message[:id], message[:state], :last_error, :leaves_on, :card_id, message[:channel], Sequel[:customers][:name]).all
        end

        def batch_progress(batch)
          erb :"batches/_progress", layout: !htmx?, locals: { batch: batch, counts: batch.counts }
        end

        def batch_words(batch)
          case batch.state
          when "writing" then "being written"
          when "leaving" then "leaving"
          when "paused" then "paused"
          when "done" then "all has left, #{moment(batch.finished_at)}"
          when "cancelled" then "cancelled #{moment(batch.finished_at)}"
          end
        end

        # Is something happening now, that the page should show as it happens?
        def batch_moves?(batch, counts)
          return batch.state == "writing" unless batch.state == "leaving"

          # All through, and about to be done.
          counts.slice("queued", "handing_over", "failed").values.sum.zero? ||
            batch.messages_dataset.where(state: %w[queued handing_over]).where(Sequel[:leaves_on] <= today).any?
        end
      end
    end
  end
end
