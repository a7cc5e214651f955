# frozen_string_literal: true

module UprightBench
  module Screens
    # One batch of cards: how far it is, what was left out, to pause, to go on, to cancel, and to print.
    module Batches
      AGAIN_SECONDS = 2 # until its progress is looked at again

      def self.registered(app)
        app.helpers Helpers
        app.get("/cards/batches/:id") { batch_page(batch_asked) }
        app.get("/cards/batches/:id/progress") { batch_progress(batch_asked) }

        app.post "/cards/batches/:id/steer", may: :send_cards do
          Services::SteerBatch.call(batch_asked, params["move"].to_s, by: person, at: now)
          redirect "/cards/batches/#{batch_asked.id}", 303
        end

        app.get "/cards/batches/:id/print.pdf" do
          send_paper("batch", batch: batch_asked.id,
            sheet: sheet_size_asked)
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        def batch_asked
          Services::Lookup.one(:batch, id_of(params["id"]))
        end

        # @return [String] a key of Core::Units::SheetSize::ALL
        def sheet_size_asked
          sizes = Core::Units::SheetSize
          sizes::ALL.key?(params["sheet"]) ? params["sheet"] : sizes::USUAL
        end

        def batch_page(batch)
          @title = "Batch of #{moment(batch.created_at)}"
          overview = Queries::BatchOverview.new(batch, today: today)
          erb :"batches/page", locals: {
            batch: batch, overview: overview, messages: overview.messages(after: id_of(params["after"] || "0"))
          }
        end

        # Read again by the page itself while the batch moves.
        def batch_progress(batch)
          erb :"batches/_progress", layout: !htmx?, locals: {
            batch: batch, overview: Queries::BatchOverview.new(batch, today: today)
          }
        end

        # @return [String] a link to the cards on sheets of this size
        def card_sheet_link(batch, sheet)
          cards = Papers::CardSheet.on_a_sheet(card_style.format, sheet)
          %(<a href="/cards/batches/#{batch.id}/print.pdf?sheet=#{sheet}">#{cards} on a sheet of #{Core::Units::SheetSize.of(sheet).name}</a>)
        end

        # A card that is written is half through.
        def batch_progress_value(overview)
          overview.batch.state == "writing" ? overview.counts.values.sum / 2.0 : overview.through
        end

        def batch_words(batch)
          case batch.state
          when "writing" then "writing the cards"
          when "leaving" then "sending"
          when "paused" then "paused"
          when "done" then "finished #{moment(batch.finished_at)}"
          when "cancelled" then "cancelled #{moment(batch.finished_at)}"
          end
        end
      end
    end
  end
end
