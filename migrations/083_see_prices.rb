# frozen_string_literal: true

# Seeing prices becomes something that the owner can say of a role. Whoever saw them until now still does.
Sequel.migration do
  up do
    run "UPDATE roles SET may = may || ARRAY['see_prices'] WHERE NOT 'see_prices' = ANY (may)"
  end

  down do
    run "UPDATE roles SET may = array_remove(may, 'see_prices')"
  end
end
