# frozen_string_literal: true

module UprightBench
  module Web
    module SignIn
      # The part of the sign-in that asks for a code from somebody's phone after the password (TOTP, RFC 6238, features
      # otp and recovery_codes of Rodauth), or for one of the codes that were written down when the phone was set up.
      module SecondFactor
        PATHS = %w[/otp-setup /otp-auth /otp-disable /recovery-auth /recovery-codes].freeze
        WRONG = "That code is not right, or was used already."

        module_function

        # @param config [Rodauth::Configuration]
        def configure(config)
          config.enable :otp, :recovery_codes
          tables(config)
          words(config)
          ways(config)
          history(config)
        end

        # The key is no digest of another one: that one is renewed, and phones are not.
        def tables(config)
          config.otp_keys_table :person_otp_keys
          config.recovery_codes_table :person_recovery_codes
          config.otp_keys_use_hmac? false
          config.auto_add_recovery_codes? true
          config.otp_issuer { Services::ShopOnFile.call.name }
        end

        def words(config)
          config.otp_auth_error_flash WRONG
          config.otp_setup_error_flash "Not set up. Check what is marked below."
          config.otp_disable_error_flash "Not taken off."
          config.otp_lockout_error_flash "Too many wrong codes. Use one of the codes that you wrote down."
          config.invalid_recovery_code_error_flash WRONG
          config.otp_invalid_auth_code_message "is not right"
          config.invalid_password_message "is not right"
          %i[otp_setup_notice_flash otp_disable_notice_flash two_factor_auth_notice_flash
             two_factor_need_authentication_error_flash two_factor_not_setup_error_flash
             two_factor_already_authenticated_error_flash otp_already_setup_error_flash].each do |name|
            config.public_send(name, nil)
          end
        end

        def ways(config)
          %i[two_factor_manage_route two_factor_auth_route two_factor_disable_route].each do |name|
            config.public_send(name, nil) # pages of ours stand in their place
          end
          config.otp_setup_redirect "/recovery-codes"
          config.otp_disable_redirect "/me"
          config.two_factor_auth_redirect "/"
          config.otp_lockout_redirect "/recovery-auth"
          config.two_factor_need_setup_redirect "/me"
          config.two_factor_already_authenticated_redirect "/"
          config.otp_already_setup_redirect "/me"
          config.two_factor_auth_required_redirect { otp_exists? ? "/otp-auth" : "/webauthn-auth" }
        end

        # What is looked at with each request stands beside the person.
        def history(config)
          config.after_otp_setup { Services::SecondFactor.changed_phone(session_value, on: true, at: Time.now) }
          config.after_otp_disable { Services::SecondFactor.changed_phone(session_value, on: false, at: Time.now) }
          config.after_otp_authentication_failure do
            Services::SignIns.note("sign-in failed", session_value, at: Time.now)
          end
        end
        private_class_method :tables, :words, :ways, :history
      end
    end
  end
end
