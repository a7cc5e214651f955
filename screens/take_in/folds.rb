# frozen_string_literal: true

module UprightBench
  module Screens
    module TakeIn
      # Which of the folded parts of the form are open when the page comes: those in which something was typed or is
      # wrong.
      module Folds
        def customer_more?(form)
          more?(form, :customer, AddressFields::ALL.keys)
        end

        def bought_more?(form)
          more?(form, :machine, %i[bought_on bought_at second_hand])
        end

        def rough_more?(form)
          more?(form, :machine, %i[maker model kind])
        end

        # What usually comes with a known model is ticked, so it is open.
        def accessories_more?(form, subject)
          subject.accessories.any? || typed?(form, :came_with) || form.errors_at(:came_with).any?
        end

        def use_more?(form, subject)
          !subject.machine.nil? || typed?(form, :hours_per_week) || form.errors_at(:hours_per_week).any?
        end

        private

        def more?(form, group, names)
          names.any? { |name| typed?(form, group, name) || form.errors_at(group, name).any? }
        end

        def typed?(form, *path)
          !form.value(*path).to_s.empty?
        end
      end
    end
  end
end
