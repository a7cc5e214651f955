# frozen_string_literal: true

# A card stays as it was sent: its subject and text, with {link} where the address of its page stood.
Sequel.migration do
  up do
    run "ALTER TABLE messages ADD COLUMN said jsonb CONSTRAINT messages_said CHECK (jsonb_typeof(said) = 'object')"
  end

  down { run "ALTER TABLE messages DROP COLUMN said" }
end
