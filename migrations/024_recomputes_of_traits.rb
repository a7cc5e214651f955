# frozen_string_literal: true

# Another share by which pets shorten moves the dates of households with pets, and no others.
Sequel.migration do
  up do
    run "ALTER TABLE recomputes ADD COLUMN traits text[]"
  end
end
