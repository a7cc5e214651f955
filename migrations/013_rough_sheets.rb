# frozen_string_literal: true

# Sheets still to be completed are few among thousands.
Sequel.migration do
  up do
    run "CREATE INDEX sheet_versions_rough ON sheet_versions (id) WHERE content ->> 'rough' = 'true'"
  end
end
