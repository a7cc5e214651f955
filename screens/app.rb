# frozen_string_literal: true

require "sinatra/base"

module UprightBench
  module Screens
    # The application behind the sign-in: every screen registers its routes here.
    class App < Sinatra::Base
      SCREENS = [Bench, Fleet, TakeIn, Photos, Job, LookOver, Strip, FinalTests, FindFault, Practice, Rack, Orders,
                 Suppliers, Counts, PartLists, PartBook, OtherPart, Notes, ToCollect, Parcels, Sale, SoldNew,
                 Registrations, Bills, Shelf, Batches, Answers, Wordings, Unanswered, Cards, CustomerLists,
                 Customers, Machines, Drafts, Sheets, Settings, Gauges, Archives, Audit, People, Find, CardPage,
                 EstimatePage, FirstOwner, PaperRuns, Plan,
                 Health].freeze

      set :views, File.expand_path(__dir__)
      set :erb, escape_html: true, layout: :layout
      set :static, false
      set :sessions, false
      # Paths are refused or taken as they are (Web::SafePath); nothing may read another one out of them behind the
      # gate. Behind TLS the server itself is asked without: the origin of our own pages is what PUBLIC_URL says,
      # whatever the server sees.
      set :protection, reaction: :deny, permitted_origins: SETTINGS.origins,
        except: %i[path_traversal session_hijacking remote_token frame_options xss_header]
      set :absolute_redirects, false
      set :host_authorization, permitted_hosts: []
      set :show_exceptions, false
      set :raise_errors, false
      set :dump_errors, false
      set :logging, false
      set :reload_templates, false

      extend Doors

      helpers Doors::Entering, Helpers::Page, Helpers::Words, Helpers::Fields, Helpers::SheetFields
      SCREENS.each { |screen| register screen }

      before { Services::WaysOfTheShop.begin_request(shop: -> { shop }, policies: -> { policies }) }
      after { Services::WaysOfTheShop.end_request }

      error do
        error = env["sinatra.error"]
        code = Web::ErrorTable.status(error)
        raise error if code == 503 # without a database no page of ours can be drawn: Web::LastResort answers

        Config::Report.error(error, id: env["upright_bench.request_id"]) if code == 500
        status code
        headers "x-entry" => "refused" if code < 500 # it was looked at, and the page says what is wrong with it
        message = code == 500 ? broken_words : error.message
        erb :problem, locals: { title: problem_title(code), message: message }, layout: page_layout
      end

      not_found do
        next body if body.is_a?(Array) && body.join.length > 20

        send_to_sign_in unless person # who is not signed in is not told what there is

        status 404
        erb :problem, locals: { title: problem_title(404), message: "There is no page here, or not any more." },
          layout: page_layout
      end

      private

      def broken_words
        "Everything saved before is safe. If you report this, mention #{env['upright_bench.request_id']}."
      end

      def problem_title(code)
        { 403 => "Not allowed", 404 => "Page not found", 409 => "Not done", 422 => "Not saved" }
          .fetch(code, "Something went wrong")
      end
    end
  end
end
