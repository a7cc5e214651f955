# frozen_string_literal: true

module UprightBench
  module Models
    # Parts that came in as a file, to be looked at before they are taken over.
    class PartImport < Sequel::Model(:part_imports)
    end
  end
end
