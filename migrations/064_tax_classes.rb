# frozen_string_literal: true

# A part may be taxed as a class of the shop's own; the classes are a shop rule, as closed days are.
Sequel.migration do
  up do
    run <<~SQL
      ALTER TABLE parts ADD COLUMN tax_class text CONSTRAINT parts_tax_class_length CHECK (length(tax_class) BETWEEN 1 AND 40);
      COMMENT ON COLUMN parts.tax_class IS 'Key of a class in the policy tax_classes; null when it is taxed as parts are.';
    SQL
  end

  down { run "ALTER TABLE parts DROP COLUMN tax_class" }
end
