# frozen_string_literal: true

module UprightBench
  module Screens
    # The shop rules; everybody may read them, the owner changes them.
    module Settings
      def self.registered(app)
        app.helpers Helpers

        app.get("/settings") { settings_page(SettingsForm.blank(SettingsForm.typed_from(policies))) }
        app.get("/settings/recomputes") { recomputes_under_way }

        app.get("/settings/shop") { shop_page(ShopForm.blank(ShopForm.typed_from(shop))) }

        app.post "/settings/shop", may: :settings do
          form = ShopForm.new(params)
          next shop_page(form) unless form.ok?

          Services::KeepShop.call(form.fields, by: person, at: now)
          say "Saved. From now on papers say so."
          redirect "/settings/shop", 303
        end

        app.post("/settings/shop/logo", may: :settings, most_bytes: Doors::A_FILE) { keep_logo }

        app.get "/settings/shop/logo.jpg" do
          path = Services::KeepLogo.path(shop) or pass
          headers "cache-control" => "private, no-cache"
          send_file path.to_s, type: :jpeg, disposition: :inline
        end

        app.post "/settings/shop/test-mail", may: :settings do
          problem = Services::TestMail.call(by: person)
          next shop_page(ShopForm.blank(ShopForm.typed_from(shop)), mail: problem) if problem

          say "A test is on its way to #{person.email}."
          redirect "/settings/shop", 303
        end

        app.post "/settings", may: :settings do
          form = SettingsForm.new(params)
          next redirect("/settings", 303) if save_settings(form)

          status 422
          settings_page(form)
        end

        app.post "/settings/closed-days", may: :settings, most_bytes: Doors::A_FILE do
          form = SettingsForm.blank(SettingsForm.typed_from(policies))
          next redirect("/settings", 303) if add_closed_days(form, params["calendar"])

          status 422
          settings_page(form)
        end
      end

      # Helpers of this screen's templates.
      module Helpers
        def keep_logo
          file = logo_sent
          Services::KeepLogo.call(file, by: person, at: now)
          say file ? "Your papers have the logo now." : "Your papers have no logo any more."
          redirect "/settings/shop", 303
        rescue Services::Invalid => e
          shop_page(ShopForm.blank(ShopForm.typed_from(shop)), logo: e.errors[:logo].join(" "))
        end

        # @return [Hash, nil] nil to take it away
        # @raise [Services::Invalid] when there is neither
        def logo_sent
          file = params["logo"]
          return file if file.is_a?(Hash) && file[:tempfile].respond_to?(:path)

          raise Services::Invalid, { logo: ["is missing: choose a picture first."] } if params["away"] != "1"
        end

        # @param mail [String, nil] why a test could not be sent
        # @param logo [String, nil] why a logo was not taken
        def shop_page(form, mail: nil, logo: nil)
          @title = "The shop"
          status 422 if form.errors.any? || mail || logo
          erb :"settings/shop",
            locals: { form: form, mine: may?(:settings), mail: mail, logo: logo, last_backup: Services::Backups.last }
        end

        def settings_page(form)
          @title = "Settings"
          erb :"settings/page", locals: { form: form, groups: groups_shown, mine: may?(:settings) }
        end

        # Whoever changes them sees them all.
        def groups_shown
          seen = may?(:see_prices) || may?(:settings)
          Core::Policies::Table::GROUPS.reject { |group| group.key == :money && !seen }
        end

        # @return [Boolean] whether it was saved; what is wrong stands in the form otherwise
        def save_settings(form)
          return false unless form.ok?

          Services::SavePolicies.call(form.policies, by: person, at: now)
          say "Saved. From now on these rules apply."
          true
        rescue Services::Invalid => e
          form.add(e.errors)
          false
        end

        # @param file [Hash, Object] an uploaded iCalendar file
        # @return [Boolean]
        def add_closed_days(form, file)
          raise Formats::Malformed, ["Choose a calendar file."] unless file.is_a?(Hash) && file[:tempfile]

          read = Formats::HolidayCalendar.read(Formats::ReadableText.of(file[:tempfile].read.to_s))
          keep_closed_days((policies.closed_days + read).uniq(&:on).sort_by(&:on))
          say "#{counted(read.size, 'day')} read from the calendar."
          true
        rescue Formats::Malformed => e
          form.add(calendar: e.problems)
          false
        end

        def keep_closed_days(days)
          Services::SavePolicies.call({ "closed_days" => days.map(&:to_stored) }, by: person, at: now)
        end

        # @return [Hash{String=>String}] key => name, in the order of the shop's week
        def days_of_week
          Core::Policies::Week::DAYS.slice(*policies.week)
        end

        # How far the worker is with dates that are computed again; nothing once it is through.
        # @param sheet [Models::Sheet, nil] of this model only; as the address says where left out
        def recomputes_under_way(sheet = params["sheet"] && Services::Lookup.one(:sheet, id_of(params["sheet"])))
          partial :"settings/_recomputes", recomputes: Queries::RecomputesUnderWay.call(sheet&.id),
            path: "/settings/recomputes#{"?sheet=#{sheet.id}" if sheet}"
        end

        # @param policy [Core::Policies::Number, Core::Policies::Choice]
        # @return [String, nil] the hint below the field; what the default is, where the shop's own differs
        def policy_hint(policy)
          if policy.default && policies.changed?(policy.key)
            default = "Default #{policy.words(policy.default,
              money_sign)}."
          end
          [policy.hint, default].compact.join(" ").then { |words| words.empty? ? nil : words }
        end
      end
    end
  end
end
