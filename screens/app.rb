# frozen_string_literal: true

require "sinatra/base"

module UprightBench
  module Screens
    # The application behind the sign-in: every screen registers its routes here.
    class App < Sinatra::Base
      SCREENS = [Bench, Fleet, TakeIn, Photos, Job, LookOver, Rack, Orders, Suppliers, Counts, PartLists, Shelf, Batches, Answers, Wordings, Cards, Customers, Drafts, Sheets,
                 Settings, Find, CardPage, OfferPage, Health].freeze

      set :views, File.expand_path(__dir__)
      set :erb, escape_html: true, layout: :layout
      set :static, false
      set :sessions, false
      set :protection, reaction: :deny, except: %i[session_hijacking remote_token frame_options xss_header]
      set :host_authorization, permitted_hosts: []
      set :show_exceptions, false
      set :raise_errors, false
      set :dump_errors, false
      set :logging, false
      set :reload_templates, false

      helpers Helpers::Page, Helpers::Words, Helpers::Fields, Helpers::SheetFields
      SCREENS.each { |screen| register screen }

      error do
        error = env["sinatra.error"]
        code = Config::Web::ErrorTable.status(error)
        report(error) if code == 500
        status code
        message = code == 500 ? "Something broke on our side. What was saved before is kept. Mention #{env['bench.request_id']} when you report it." : error.message
        erb :problem, locals: { title: problem_title(code), message: message }, layout: page_layout
      end

      not_found do
        status 404
        next body if body.is_a?(Array) && body.join.length > 20

        erb :problem, locals: { title: problem_title(404), message: "There is nothing at this address." }, layout: page_layout
      end

      private

      def report(error)
        warn JSON.generate(at: Time.now.utc.iso8601, id: env["bench.request_id"], error: error.class.name, message: error.message.to_s.scrub[0, 500],
                           where: error.backtrace&.first(8))
      end

      def problem_title(code)
        { 404 => "Not here", 409 => "Not done", 422 => "Not saved" }.fetch(code, "Broken")
      end
    end
  end
end
