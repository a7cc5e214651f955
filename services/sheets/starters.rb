# frozen_string_literal: true

require "json"

module UprightBench
  module Services
    # Sheets to begin with, one for each kind of machine that a shop meets: places, cares, intervals and minutes as
    # common practice has them. They ship as files in starters/.
    module Starters
      FOLDER = File.expand_path("../../starters", __dir__)

      module_function

      # @return [Hash{String=>String}] key => what it is called
      def titles
        all.transform_values { |content| content.fetch("model") }
      end

      # @param key [String]
      # @return [Hash{String=>Object}] as Core::Sheets::Parse takes it, of that maker and model; rough until somebody
      #   who has the machine before them completes it
      # @raise [KeyError]
      def content(key, maker:, model:)
        all.fetch(key).merge("maker" => maker, "model" => model, "rough" => true)
      end

      # @param words [String] as in "stick" or "Cordless stick"
      # @return [String, nil] the key of the one that is called so, or of the first of that kind
      def named(words)
        plain = Core::Customers::Identity.method(:plain)
        all.find do |key, content|
          [key, content.fetch("model")].any? do |name|
            plain.call(name) == plain.call(words)
          end
        end&.first ||
          all.find { |_, content| plain.call(content.fetch("kind")) == plain.call(words) }&.first
      end

      # @return [Hash{String=>Hash}] read once
      def all
        @all ||= Dir["#{FOLDER}/*.json"].to_h { |file| [File.basename(file, ".json"), JSON.parse(File.read(file))] }
          .sort_by { |_, content| content.values_at("kind", "model") }.to_h
      end
      private_class_method :all
    end
  end
end
