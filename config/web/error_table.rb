# frozen_string_literal: true

module UprightBench
  module Config
    module Web
      # Which answer an error gets. The one place where the domain's errors meet HTTP.
      module ErrorTable
        # @return [Hash{Class=>Integer}]
        def self.statuses
          { Services::NotFound => 404, Services::Stale => 409, Services::Refused => 409, Services::Invalid => 422,
            Core::Sheets::Invalid => 422, Sequel::NoExistingObject => 409 }
        end

        # @return [Integer] 500 for what nobody foresaw
        def self.status(error)
          statuses.find { |kind, _| error.is_a?(kind) }&.last || 500
        end
      end
    end
  end
end
