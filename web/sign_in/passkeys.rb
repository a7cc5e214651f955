# frozen_string_literal: true

require "cbor"
require "rodauth"
require "webauthn"

module UprightBench
  module Web
    module SignIn
      # The part of the sign-in that takes a passkey (W3C Web Authentication; features webauthn, webauthn_login and
      # webauthn_autofill of Rodauth): instead of password and code, or in place of the code. The device asks for a
      # finger, a face or its PIN, so that a passkey is both what somebody has and what they are or know.
      module Passkeys
        PATHS = %w[/webauthn-setup /webauthn-auth /webauthn-login /webauthn-remove].freeze
        WRONG = "That passkey was not accepted."
        # Browsers know passkeys by a name, never by a number.
        NUMBER = /\A(?:\d{1,3}(?:\.\d{1,3}){3}|\[.*\])\z/

        # What the pages ask beside what Rodauth has.
        module Asked
          # @return [Boolean] whether browsers take passkeys at the address by which this request came
          def passkeys_here?
            !request.host.match?(NUMBER) && (request.host == "localhost" || webauthn_origin.start_with?("https:"))
          end

          # @return [Array<Hash>] device, added_at, last_use, webauthn_id of one's own, the oldest first
          def own_passkeys
            webauthn_keys_ds.order(:added_at).select(:webauthn_id, :device, :added_at, :last_use).all
          end
        end

        # What no device says: it is taken for a wrong answer, wherever the parsers of the gem stumble over it.
        module Answers
          PARTS = %w[attestationObject authenticatorData clientDataJSON signature userHandle].freeze
          STUMBLES = [ArgumentError, TypeError, EOFError, JSON::JSONError, CBOR::UnpackError, BinData::ValidityError,
                      OpenSSL::OpenSSLError].freeze

          def valid_new_webauthn_credential?(credential)
            told { super }
          end

          def valid_webauthn_credential_auth?(credential)
            told { super }
          end

          private

          def webauthn_auth_data
            shaped(super, webauthn_auth_param)
          end

          def webauthn_setup_data
            shaped(super, webauthn_setup_param)
          end

          def webauthn_form_submission_call(meth, data)
            told { super }
          end

          def told
            yield
          rescue *STUMBLES => e
            raise WebAuthn::VerificationError, e.class.name
          end

          # @return [Hash] of words, and of a response whose parts are words
          def shaped(data, param)
            return data if data.is_a?(Hash) && data.values_at("type", "id", "rawId").all?(String) &&
                           data["response"].is_a?(Hash) && data["response"].slice(*PARTS).values.compact.all?(String)

            throw_error_reason(:invalid_webauthn_auth_param, invalid_field_error_status, param, WRONG)
          end
        end

        module_function

        # @param config [Rodauth::Configuration]
        def configure(config)
          config.enable :webauthn, :webauthn_login, :webauthn_autofill
          config.auth_class_eval { include Asked, Answers }
          tables(config)
          words(config)
          ways(config)
          history(config)
        end

        def tables(config)
          config.webauthn_keys_table :person_passkeys
          config.webauthn_keys_account_id_column :person_id
          config.webauthn_user_ids_table :person_passkey_users
          config.webauthn_key_insert_hash do |credential|
            super(credential).merge(device: Core::Access::Device.words(request.user_agent))
          end
        end

        def words(config)
          config.webauthn_rp_name { Services::ShopOnFile.call.name }
          %i[webauthn_setup_error_flash webauthn_auth_error_flash webauthn_login_error_flash].each do |name|
            config.public_send(name, WRONG)
          end
          config.webauthn_remove_error_flash "Not taken off."
          %i[webauthn_setup_notice_flash webauthn_remove_notice_flash webauthn_not_setup_error_flash].each do |name|
            config.public_send(name, nil)
          end
        end

        # The address is what the outside calls it, whatever stands in front; the host was looked at before (Caller).
        def ways(config)
          config.webauthn_origin do
            request.host == URI(SETTINGS.public_url).host ? SETTINGS.origins.first : request.base_url
          end
          config.webauthn_user_verification "required"
          config.webauthn_login_user_verification_additional_factor? true
          config.use_multi_phase_login? false # it would tell whether there is such an account
          %i[webauthn_setup_js_route webauthn_auth_js_route webauthn_autofill_js_route].each do |name|
            config.public_send(name, nil) # one script of ours does it
          end
          config.webauthn_setup_redirect "/recovery-codes"
          config.webauthn_remove_redirect "/me"
        end

        def history(config)
          config.after_webauthn_setup { Services::SecondFactor.added_passkey(session_value, at: Time.now) }
          config.after_webauthn_remove { Services::SecondFactor.removed_passkey(session_value, at: Time.now) }
          config.after_webauthn_auth_failure do
            Services::SignIns.note("sign-in failed", session_value, at: Time.now)
          end
        end
        private_class_method :tables, :words, :ways, :history
      end
    end
  end
end
