# frozen_string_literal: true

module UprightBench
  module Screens
    module Helpers
      # What every page needs: who is there, the shop, the time, the layout, and how to answer a form.
      module Page
        NAVIGATION = [["Bench", "/", "b"], ["Take in", "/take-in", "t"], ["Plan", "/plan", "p"], ["Rack", "/rack", "r"],
                      ["Shelf", "/shelf", "s"],
                      ["Cards", "/cards", "c"], ["Customers", "/customers", "u"], ["Bills", "/bills", "i"],
                      ["Sheets", "/sheets", "h"]].freeze

        def navigation
          may?(:see_prices) ? NAVIGATION : NAVIGATION.reject { |_, path, _| path == "/bills" }
        end

        # @return [Models::Person, nil] whoever is signed in; asked for once
        # @return [String] a screen's link, its letter underlined; marked on its own pages
        def navigation_link(name, path, key)
          at = name.downcase.index(key)
          here = ' aria-current="page"' if here?(path)
          %(<a href="#{path}" data-jump="#{key}"#{here}>#{name[0, at]}<u>#{name[at]}</u>#{name[(at + 1)..]}</a>)
        end

        # Pages that belong to a screen and have an address of their own.
        UNDER = { "/" => %w[/jobs], "/sheets" => %w[/drafts] }.freeze

        def here?(path)
          return true if UNDER.fetch(path, []).any? { |beginning| request.path_info.start_with?(beginning) }

          path == "/" ? request.path_info == "/" : request.path_info.start_with?(path)
        end

        # @return [String] what the request before had to say, once
        def said_slip
          words = said
          words ? %(<p class="slip slip-said" role="status">#{::Rack::Utils.escape_html(words)}</p>) : ""
        end

        # @return [String] while the demo's past is still coming in
        def loading_slip
          done, all = Config::Loading.new(SETTINGS.state_dir).progress
          return "" if done.nil?

          here = ": #{done} of #{all} are here" if all.positive?
          %(<p class="slip" role="status">Older past jobs of the demo are still being loaded#{here}. ) \
            "Lists, dates and figures are complete when all are.</p>"
        end

        def person
          return @person if defined?(@person)

          @person = env["upright_bench.who"]&.call
        end

        def shop
          shop_with_policies.first
        end

        def policies
          shop_with_policies.last
        end

        def shop_with_policies
          @shop_with_policies ||= Services::ShopOnFile.with_policies
        end

        def now
          @now ||= Time.now
        end

        def today
          @today ||= Config::Zone.date(now)
        end

        # @param name [String] of a style, script, font or picture of the application
        # @return [String] its address
        def asset(name)
          Web::Assets.path(name)
        end

        def csrf
          @csrf ||= env.fetch("upright_bench.csrf").call
        end

        def csrf_field
          %(<input type="hidden" name="_csrf" value="#{csrf}">)
        end

        def page_layout
          return false if htmx?

          person ? :layout : :"card_page/layout"
        end

        def htmx?
          !request.get_header("HTTP_HX_REQUEST").nil?
        end

        # Says something on the next page.
        def say(text)
          env.fetch("rack.session")["said"] = text
        end

        # @return [String, nil] once
        def said
          env.fetch("rack.session").delete("said")
        end

        # @param name [String, Symbol] a partial beside its screen, as "job/_work"
        def partial(name, **locals)
          Partials.of(name).render(self, locals)
        end

        def may?(what)
          Services::Permissions.allow?(what, person)
        end

        # @param text [String] of a path
        # @return [Integer]
        # @raise [Services::NotFound] when it is no number
        def id_of(text)
          id = Integer(text, 10)
          raise ArgumentError, "larger than any id" unless id.between?(0, Services::Lookup::BIGGEST_ID)

          id
        rescue ArgumentError, TypeError
          raise Services::NotFound, "Page not found."
        end

        # @return [Integer, nil] nil where nothing was typed or chosen
        def id_typed(name)
          params[name].to_s.empty? ? nil : id_of(params[name].to_s)
        end

        # With semicolons where the address asks for them (?sheet=semicolons).
        def csv(text, name)
          content_type "text/csv", charset: "utf-8"
          text = Formats::ForSpreadsheet.semicolons(text) if params["sheet"] == "semicolons"
          headers "content-disposition" => %(attachment; filename="#{name}.csv")
          text
        end

        def pdf(bytes, name)
          content_type "application/pdf"
          headers "content-disposition" => %(inline; filename="#{name}.pdf")
          bytes
        end
      end
    end
  end
end
