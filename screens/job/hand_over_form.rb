# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # What is counted out when a machine goes home: a number of pieces for every accessory that came in.
      module HandOverForm
        module_function

        # @return [String] how it is paid; on account where nobody says
        # @raise [Services::Invalid]
        def way(typed)
          way = typed["way"] || Core::Money::Ways::ON_ACCOUNT
          return way if way == Core::Money::Ways::ON_ACCOUNT || Core::Money::Ways.now?(way)

          raise Services::Invalid, { way: ["Choose how it is paid."] }
        end

        # @param typed [Hash] the request's parameters; `out` is accessory => pieces
        # @return [Hash{String=>Integer}] what cannot be read counts as none
        def counted(typed)
          out = typed["out"].is_a?(Hash) ? typed["out"] : {}
          out.transform_values { |pieces| pieces.to_s[/\A\d{1,2}\z/].to_i }
        end
      end
    end
  end
end
