# frozen_string_literal: true

# The list of all customers is read from its place on, and does not name who was forgotten.
Sequel.migration do
  up do
    run "CREATE INDEX customers_by_name ON customers (name, id) WHERE forgotten_on IS NULL"
  end
end
