# frozen_string_literal: true

module UprightBench
  module Screens
    # The shop's policies; everybody may read them, the owner changes them.
    module Settings
      def self.registered(app)
        app.helpers Helpers

        app.get "/settings" do
          @title = "Settings"
          erb :"settings/page", locals: { form: SettingsForm.blank(SettingsForm.typed_from(policies)), policies: policies }
        end

        app.get("/settings/recomputes") { recomputes_under_way }

        app.post "/settings" do
          allow!(:settings)
          @title = "Settings"
          form = SettingsForm.new(params)
          begin
            if form.ok?
              Services::SavePolicies.call(form.policies, by: person, at: now)
              say "Saved. What is computed from now on goes by these."
              redirect "/settings", 303
            end
          rescue Services::Invalid => e
            form.add(e.errors)
          end
          status 422
          erb :"settings/page", locals: { form: form, policies: policies }
        end
      end

      # Helpers of this screen's templates.
      module Helpers
        # How far the worker is with dates that are computed again; nothing once it is through.
        # @param sheet [Models::Sheet, nil] of this model only
        def recomputes_under_way(sheet = params["sheet"] && Services::Lookup.one(Models::Sheet, id_of(params["sheet"])))
          asked = Models::Recompute.under_way.order(:id)
          asked = asked.where(Sequel.|({ sheet_id: sheet.id }, { sheet_id: nil })) if sheet
          partial :"settings/_recomputes", recomputes: asked.limit(5).all, path: "/settings/recomputes#{"?sheet=#{sheet.id}" if sheet}"
        end

        def day_words(key)
          { "mon" => "Monday", "tue" => "Tuesday", "wed" => "Wednesday", "thu" => "Thursday", "fri" => "Friday", "sat" => "Saturday", "sun" => "Sunday" }.fetch(key)
        end
      end
    end
  end
end
