# frozen_string_literal: true

require "roda"
require "rodauth"

module UprightBench
  module Web
    module SignIn
      # Stands before the application: did the form come from one of our pages, and who is there? It keeps nobody out
      # by a path; each route of the application asks it who is there (Doors), and lets in nobody unless it says
      # otherwise.
      class Gate < Roda
        SESSION_SECONDS = 30 * 86_400
        ASKED_AGAIN = (SecondFactor::PATHS + Passkeys::PATHS - %w[/webauthn-login]).freeze
        OWN = %w[/login /logout /webauthn-login].concat(ASKED_AGAIN).freeze
        # What is wrong with a sign-in is never told: neither which of both, nor whether there is such an account.
        WRONG = "That e-mail and password do not go together."
        WRONG_WORDS = %i[no_matching_login_message unverified_account_message invalid_password_message].freeze
        WRONG_CODES = %i[no_matching_login_error_status unopen_account_error_status login_error_status].freeze

        plugin :middleware
        plugin :render, views: File.expand_path("../../screens/sign_in", __dir__), escape: true, layout: "layout",
          template_opts: { default_encoding: "UTF-8" }
        plugin :route_csrf, require_request_specific_tokens: false, check_header: true
        plugin :flash
        plugin :rodauth, csrf: :route_csrf do
          enable :login, :logout, :active_sessions
          db DB
          accounts_table :people
          login_column :email
          account_password_hash_column :password_hash
          use_database_authentication_functions? false
          skip_status_checks? false
          account_open_status_value Models::Person::OPEN
          active_sessions_table :person_sessions
          active_sessions_account_id_column :person_id
          # The cookie itself runs out; so a request only looks at the table, and signing in clears old rows away.
          session_inactivity_deadline nil
          session_lifetime_deadline nil
          hmac_secret SETTINGS.keys.newest(:sign_in)
          hmac_old_secret SETTINGS.keys.before(:sign_in)
          domain URI(SETTINGS.public_url).host
          already_logged_in { redirect two_factor_partially_authenticated? ? two_factor_auth_required_redirect : "/" }
          [SecondFactor, Passkeys, CurrentSession].each { |part| part.configure(self) }
          login_label "E-mail"
          login_button "Sign in"
          login_redirect "/"
          logout_redirect "/login"
          %i[login_notice_flash logout_notice_flash require_login_error_flash].each { |name| send(name, nil) }
          login_error_flash WRONG
          WRONG_WORDS.each { |text| send(text, WRONG) }
          WRONG_CODES.each { |code| send(code, 401) }
          login_page_title "Sign in"
          logout_page_title "Sign out"
          global_logout_label "Sign out on every device"

          before_login_route { scope.slow_down if request.post? }
          # Both ways cost one comparison: how long the answer takes must not tell whether there is such an account.
          account_from_login do |login|
            found = super(login)
            open = found && found[account_status_column] == account_open_status_value
            next found if open && !GivenPassword.over?(found)

            Tries.compare_for_nothing(param(password_param))
            Services::SignIns.note("sign-in failed", nil, at: Time.now)
            nil
          end
          after_login do
            db[active_sessions_table].where(Sequel[:created_at] < Time.now - SESSION_SECONDS).delete
            scope.tries.right
            Services::SignIns.note("signed in", account_id, at: Time.now)
          end
          after_login_failure { Services::SignIns.note("sign-in failed", account_id, at: Time.now) }
          before_logout { Services::SignIns.note("signed out", session_value, at: Time.now) if logged_in? }
        end

        route do |r|
          Services::Whence.now = env["REMOTE_ADDR"]
          env["upright_bench.route"] = r.path_info if OWN.include?(r.path_info)
          check_csrf! { refuse_form(r) } unless Screens::App.tokenless?(env)
          rodauth.check_active_session if ASKED_AGAIN.include?(r.path_info)
          r.rodauth
          env["upright_bench.who"] = -> { somebody }
          env["upright_bench.csrf"] = -> { csrf_token }
          env["upright_bench.passkeys"] = -> { rodauth.own_passkeys if rodauth.passkeys_here? }
          env["upright_bench.session"] = -> { rodauth.current_session_digest }
          env["upright_bench.take_over"] = ->(person) { take_over(person) }
        end

        # @return [String] as in "5 Apr 2027"
        def day_words(time)
          Services::WaysOfTheShop.during { Core::Units::Day.words(Config::Zone.date(time)) }
        end

        # @return [Services::SignInTries] of this address at this account
        def tries
          @tries ||= Services::SignInTries.new(login: request.params["login"].to_s, address: env["REMOTE_ADDR"],
            key: SETTINGS.keys.newest(:sign_in))
        end

        def slow_down
          seconds = tries.begin(at: Time.now) or return

          flash.now[:error] = "Too many wrong tries. Wait #{Tries.words(seconds)} and try again."
          request.halt([429, { "content-type" => "text/html; charset=utf-8", "retry-after" => seconds.to_s },
                        [rodauth.login_view]])
        end

        private

        # @return [Models::Person, nil] whose session goes on and whose account is open; a session that does not is
        #   ended
        def somebody
          return unless rodauth.logged_in?

          person = Models::Person.signed_in(rodauth.session_value, rodauth.current_session_digests)
          rodauth.clear_session unless person
          person if person && (!person.second_factor || rodauth.two_factor_authenticated?)
        end

        # The one who was signed in here is so no longer.
        def take_over(person)
          rodauth.remove_current_session
          rodauth.clear_session
          rodauth.account_from_id(person.id)
          rodauth.login_session("pin")
        end

        # A block that only returned would let the request through to the application.
        def refuse_form(r)
          r.halt([403, { "content-type" => "text/html; charset=utf-8" }, [view("refused")]])
        end
      end
    end
  end
end
