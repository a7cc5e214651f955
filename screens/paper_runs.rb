# frozen_string_literal: true

module UprightBench
  module Screens
    # Papers of many pages: how far the worker is, and the files when they are there.
    module PaperRuns
      AGAIN_SECONDS = 1

      def self.registered(app)
        app.helpers Helpers
        app.get("/papers/:id") { run_page(run_asked) }
        app.get("/papers/:id/progress") { run_page(run_asked, layout: false) }

        app.get "/papers/:id/:part.pdf" do
          run = run_asked
          part = id_of(params["part"]) - 1
          raise Services::NotFound, "This paper is not there, or no longer." unless part.between?(0, run.parts_done - 1)

          content_type "application/pdf"
          headers "content-disposition" => %(inline; filename="#{file_name(run, part)}")
          run.each_piece(part)
        end
      end

      # Helpers of whatever screen prints.
      module Helpers
        # The paper, or the page that shows how far it is.
        # @param kind [String] of Services::LongPaper
        # @param arguments [Hash{Symbol=>Object}]
        def send_paper(kind, **arguments)
          arguments = { **arguments, first: params["first"] }.compact.transform_keys(&:to_s)
          maker = Services::LongPaper.maker(kind, arguments)
          if maker.pages <= Services::LongPaper::MOST_PAGES_AT_ONCE
            return pdf(maker.paper(0).render(**paper_look), maker.name)
          end

          redirect "/papers/#{Services::LongPaper.ask(kind, arguments, by: person, at: now).id}", 303
        end

        # @return [Hash] as Papers::Paper#render takes it
        def paper_look
          Services::PaperLook.of(policies: policies, shop: shop, first: params["first"])
        end

        # @param path [String] of labels or tags as PDF
        # @param kind [String] the shop rule that says what they are printed on
        # @return [String] a link; where they are on sheets, with a way to begin in the middle of one
        def print_link(path, words, kind: "labels", css: nil)
          stock = Core::Labels::Stock.of(policies[kind])
          link = %(<a#{%( class="#{css}") if css} href="#{h(path)}">#{words}</a>)
          stock.sheet? ? link + partial(:"paper_runs/_label_sheet", stock: stock, path: path) : link
        end

        def run_asked
          Services::Lookup.one(:paper_run, id_of(params["id"]))
        end

        def run_page(run, layout: !htmx?)
          @title = "Paper"
          erb :"paper_runs/page", layout: layout && page_layout, locals: { run: run }
        end

        def paper_part_words(run, part)
          run.parts == 1 ? "Open the paper" : "Open file #{part + 1} of #{run.parts}"
        end

        def file_name(run, part)
          run.parts == 1 ? "#{run.name}.pdf" : "#{run.name}-#{part + 1}-of-#{run.parts}.pdf"
        end
      end
    end
  end
end
