# frozen_string_literal: true

module UprightBench
  module Models
    # New pieces of an opened box that the customer has at home; `kind` is that of the place that they go to.
    class HomePiece < Sequel::Model(:home_pieces)
      many_to_one :part

      dataset_module do
        # Those that may still be there, the oldest first.
        def there(machine_id)
          where(machine_id: machine_id).where { pieces >= 1 }.order(:id).eager(:part)
        end
      end
    end
  end
end
