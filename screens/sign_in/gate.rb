# frozen_string_literal: true

require "roda"
require "rodauth"

module UprightBench
  module Screens
    module SignIn
      # Stands before the application: who is there, and did the form come from one of our pages?
      # Staff sign in; a customer's pages behind a code and the health checks need nobody.
      class Gate < Roda
        OPEN = %r{\A/(c/|j/|healthz\z|readyz\z)}
        # A mail program stops the cards by a POST of its own (RFC 8058), which has no form token: the signed code stands for it.
        ONE_CLICK = %r{\A/c/[^/]+/stop\z}
        SESSION_SECONDS = 30 * 86_400
        LOCK_SECONDS = 15 * 60
        MOST_FAILURES = 8

        plugin :middleware
        plugin :render, views: File.expand_path(__dir__), escape: true, layout: "layout", template_opts: { default_encoding: "UTF-8" }
        plugin :route_csrf, require_request_specific_tokens: false, check_header: true
        plugin :flash
        plugin :rodauth, csrf: :route_csrf do
          enable :login, :logout, :lockout, :active_sessions
          db DB
          accounts_table :people
          login_column :email
          account_password_hash_column :password_hash
          use_database_authentication_functions? false
          active_sessions_table :person_sessions
          active_sessions_account_id_column :person_id
          # The cookie itself runs out; so a request costs one look at the table, and signing in clears old rows away.
          session_inactivity_deadline nil
          session_lifetime_deadline nil
          after_login { db[active_sessions_table].where(Sequel[:created_at] < Time.now - SESSION_SECONDS).delete }
          account_login_failures_table :person_login_failures
          account_lockouts_table :person_lockouts
          max_invalid_logins MOST_FAILURES
          account_lockouts_deadline_interval({ seconds: LOCK_SECONDS })
          set_deadline_values? true
          hmac_secret SETTINGS.session_secret
          domain URI(SETTINGS.public_url).host
          already_logged_in { redirect "/" }
          login_label "E-mail"
          login_button "Sign in"
          login_redirect "/"
          logout_redirect "/login"
          login_notice_flash nil
          logout_notice_flash nil
          require_login_error_flash nil
          login_error_flash "That e-mail and password do not go together. Nothing was changed."
          login_lockout_error_flash "Too many wrong passwords: this sign-in is locked for a quarter of an hour."
          login_page_title "Sign in"
          logout_page_title "Sign out"
          # A lock falls by itself; nothing is unlocked by mail, so those pages do not exist.
          unlock_account_request_route nil
          unlock_account_route nil
          global_logout_label "Sign out on every device"
        end

        route do |r|
          check_csrf! { refuse_form(r) } unless r.path_info.match?(ONE_CLICK)
          r.rodauth
          require_somebody(r) unless r.path_info.match?(OPEN)
          env["bench.csrf"] = -> { csrf_token }
        end

        private

        def require_somebody(r)
          rodauth.check_active_session
          return env["bench.person_id"] = rodauth.session_value if rodauth.logged_in?

          r.halt([401, { "hx-redirect" => "/login" }, []]) if env["HTTP_HX_REQUEST"]
          r.redirect "/login"
        end

        # A block that only returned would let the request through to the application.
        def refuse_form(r)
          r.halt([403, { "content-type" => "text/html; charset=utf-8" },
                  [render("refused")]])
        end
      end
    end
  end
end
