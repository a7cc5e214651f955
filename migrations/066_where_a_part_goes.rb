# frozen_string_literal: true

# Who asks on a card for a part says where it goes.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE answers ADD COLUMN address jsonb CONSTRAINT answers_address CHECK (jsonb_typeof(address) = 'object');
      COMMENT ON COLUMN answers.address IS 'Where the part is to go, field by field; null for the address on file.';
      CREATE OR REPLACE FUNCTION forget_in_history(customer bigint, word text) RETURNS void
        LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
        BEGIN
          PERFORM set_config('upright_bench.forgetting', 'yes', true);
          UPDATE answers SET note = NULL, address = NULL WHERE card_id IN (SELECT id FROM cards WHERE customer_id = customer);
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
    SQL
  end

  down { run "ALTER TABLE answers DROP COLUMN address" }
end
