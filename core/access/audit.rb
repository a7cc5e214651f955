# frozen_string_literal: true

module UprightBench
  module Core
    module Access
      # Of all that happens, what an owner looks through: in groups, each by what it is about and what was done.
      module Audit
        # @!attribute subjects [Array<String>] tables
        # @!attribute verbs [Array<String>, nil] these alone; all when nil
        # @!attribute without [Array<String>] verbs that belong to another group
        Group = Struct.new(:key, :words, :subjects, :verbs, :without, keyword_init: true)

        SIGNING_IN = ["signed in", "signed out", "sign-in failed", "took over by PIN", "ended a sign-in"].freeze
        EXPORTS = ["exported", "handed out all that is kept", "asked for everything in one file",
                   "fetched everything in one file"].freeze
        FORGETTING = %w[forgot].freeze

        def self.group(key, words, subjects, verbs: nil, without: [])
          Group.new(key: key, words: words, subjects: subjects, verbs: verbs, without: without).freeze
        end
        private_class_method :group

        ALL = [
          group("signing_in", "Signing in", %w[people], verbs: SIGNING_IN),
          group("people", "People and roles", %w[people roles], without: SIGNING_IN),
          group("settings", "Settings", %w[shops offers suppliers fit_rules], without: EXPORTS),
          group("money", "Money", %w[bills payments drawer_counts]),
          group("stock", "Stock and parts", %w[parts counts supplier_orders part_imports]),
          group("exports", "Exports", %w[shops customers archive_runs], verbs: EXPORTS),
          group("moving_in", "Imports", %w[customer_imports]),
          group("forgetting", "Forgotten customers", %w[customers], verbs: FORGETTING)
        ].freeze

        # @param key [String]
        # @return [Group, nil]
        def self.of(key)
          ALL.find { |group| group.key == key }
        end
      end
    end
  end
end
