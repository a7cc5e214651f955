# frozen_string_literal: true

module UprightBench
  module Config
    # What the role that web and worker run as may do. It owns nothing, so it can neither empty a table nor switch a
    # trigger off; history it may read and add to. Granted anew after every migration, as the owner.
    module Rights
      # Read and added to, never changed.
      HISTORY = %i[events answers estimates consents estimates_sent stock_moves sheet_versions due_changes
                   ended_fits misfits bills payments drawer_counts event_seals safety_tests].freeze
      # Only migrations and triggers write here.
      READ = %i[schema_info balances].freeze
      # Rows that are workings, not records: whatever else there is may be added to and changed, but not deleted.
      DELETABLE = %i[person_sessions person_otp_keys person_recovery_codes person_passkeys
                     person_passkey_users sign_in_tries throttle_counts work_items earnings
                     channel_faults wordings fit_rules part_forecasts skips findings
                     fittings spares home_pieces use_readings before_close_ups sheet_drafts wear_histories
                     part_import_pieces paper_runs paper_pieces due_counts suction_readings
                     que_jobs que_lockers customer_import_pieces customer_import_rows step_wishes room_readings].freeze

      module_function

      # @param owner [Sequel::Database]
      # @param role [String] the application's
      def grant(owner, role)
        return if role == owner.get(Sequel.lit("current_user"))

        name = owner.literal(Sequel.identifier(role))
        owner.transaction do
          owner.run("REVOKE ALL ON ALL TABLES IN SCHEMA public FROM #{name}; GRANT USAGE ON SCHEMA public TO " \
                    "#{name}; GRANT USAGE ON ALL SEQUENCES IN SCHEMA public TO #{name}")
          owner.tables.each { |table| owner.run("GRANT #{of(table).join(', ')} ON #{owner.literal(table)} TO #{name}") }
          owner.run("GRANT EXECUTE ON FUNCTION forget_in_history(bigint, text), blank_old_bills(date) TO #{name}")
        end
      end

      # @return [Array<String>]
      def of(table)
        return %w[SELECT] if READ.include?(table)
        return %w[SELECT INSERT] if HISTORY.include?(table)

        ["SELECT", "INSERT", "UPDATE", *("DELETE" if DELETABLE.include?(table))]
      end

      # @return [Boolean] whether the role owns what it should only use
      def owner?(db)
        db[:pg_tables].where(schemaname: "public", tableowner: Sequel.lit("current_user")).any?
      end
    end
  end
end
