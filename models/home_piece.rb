# frozen_string_literal: true

module UprightBench
  module Models
    # New pieces of an opened box that the customer has at home; `kind` is that of the place that they go to.
    class HomePiece < Sequel::Model(:home_pieces)
      many_to_one :part

      THERE_DAYS = 365 # after that they are used up (house rule)

      dataset_module do
        # Those that may still be there on a day: of each kind those of the newest box, as what came before is used.
        def there(machine_id, on:)
          where(machine_id: machine_id).where { pieces >= 1 }.where { given_on > on - THERE_DAYS }
            .distinct(:part_id, :kind).order(:part_id, :kind, Sequel.desc(:id)).eager(:part)
        end
      end
    end
  end
end
