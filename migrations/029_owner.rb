# frozen_string_literal: true

# Forgetting a customer is the only thing that changes history. It is done by a function that runs as the owner of the
# tables; the role that the application runs as may call it, and may change no row of history itself. Nobody empties a
# table of history by accident.
Sequel.migration do
  up do
    run <<~SQL
      CREATE FUNCTION forget_in_history(customer bigint, word text) RETURNS void
        LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
        BEGIN
          PERFORM set_config('upright_bench.forgetting', 'yes', true);
          UPDATE answers SET note = NULL WHERE card_id IN (SELECT id FROM cards WHERE customer_id = customer);
          UPDATE estimates SET agreed_name = word, warranty_name = CASE WHEN warranty_name IS NULL THEN NULL ELSE word END
            WHERE job_id IN (SELECT id FROM jobs WHERE customer_id = customer);
          -- What was found stays; the rest may hold the person's words or name.
          UPDATE events SET data = '{}' WHERE (subject = 'customers' AND subject_id = customer)
            OR (subject = 'cards' AND subject_id IN (SELECT id FROM cards WHERE customer_id = customer))
            OR (subject = 'messages' AND subject_id IN (SELECT messages.id FROM messages JOIN cards ON cards.id = card_id WHERE customer_id = customer))
            OR (subject = 'questions' AND subject_id IN (SELECT questions.id FROM questions JOIN jobs ON jobs.id = job_id WHERE customer_id = customer))
            OR (verb NOT IN ('found', 'cleared finding') AND job_id IN (SELECT id FROM jobs WHERE customer_id = customer));
          PERFORM set_config('upright_bench.forgetting', '', true);
        END $$;
      REVOKE ALL ON FUNCTION forget_in_history(bigint, text) FROM PUBLIC;
    SQL
    %w[events answers estimates consents offers stock_moves sheet_versions due_changes].each do |table|
      run "CREATE TRIGGER #{table}_are_not_emptied BEFORE TRUNCATE ON #{table} FOR EACH STATEMENT EXECUTE FUNCTION " \
          "refuse_rewriting()"
    end
  end
end
