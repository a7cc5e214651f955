# frozen_string_literal: true

require "bcrypt"
require "securerandom"

module UprightBench
  module Services
    # What passwords the shop takes, and those that it gives.
    module Passwords
      # Crockford's letters without those that are taken for digits; 16 of them are 78 bits.
      LETTERS = "23456789abcdefghjkmnpqrstvwxyz"
      GROUPS = 4

      module_function

      # @param about [Array<String>] what anybody knows of the person
      # @return [String, nil] what is wrong with it
      def problem(password, about)
        Core::Access::Password.problem(password, about: [*about, Models::Shop.the.name], common: common)
      end

      # @return [String] to be shown once, and changed at the next sign-in
      def made
        Array.new(GROUPS) { Array.new(4) { LETTERS[SecureRandom.random_number(LETTERS.size)] }.join }.join("-")
      end

      # @return [String]
      def digest(password)
        BCrypt::Password.create(password)
      end

      # @return [Boolean]
      def right?(person, password)
        BCrypt::Password.new(person.password_hash) == password
      end

      # The ten thousand that are tried first, as they ship with Rodauth.
      # @return [Set<String>]
      def common
        @common ||= File.readlines(File.join(Gem.loaded_specs.fetch("rodauth").full_gem_path,
          "dict/top-10_000-passwords.txt"), chomp: true).to_set
      end
      private_class_method :common
    end
  end
end
