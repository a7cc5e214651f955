# frozen_string_literal: true

module UprightBench
  module Web
    module SignIn
      # Where somebody is signed in, as the table of sign-ins knows it.
      module CurrentSession
        # @return [String, nil] how this sign-in stands in the table
        def current_session_digest
          id = session[session_id_session_key]
          id && compute_hmac(id)
        end

        # @return [Array<String>] how it may stand there, where the key was changed since; none for no sign-in
        def current_session_digests
          id = session[session_id_session_key]
          id ? compute_hmacs(id) : []
        end

        # @param config [Rodauth::Configuration]
        def self.configure(config)
          config.auth_class_eval { include CurrentSession }
          config.active_sessions_insert_hash { super().merge(device: Core::Access::Device.words(request.user_agent)) }
        end
      end
    end
  end
end
