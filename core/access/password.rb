# frozen_string_literal: true

module UprightBench
  module Core
    module Access
      # What a password has to be: long, and nothing that others would try first (NIST SP 800-63B, 5.1.1.2, from memory:
      # checked against common ones, repetition, and what anybody knows of the person; no rules of composition). Twelve
      # letters are what ASVS 4.0 asks for (2.1.1, from memory).
      module Password
        LEAST_LETTERS = 12
        GIVEN_DAYS = 7 # for which one that was given is good (house rule)
        MOST_BYTES = 72 # bcrypt looks at no more
        LEAST_OF_ITS_OWN = 6 # letters beside what anybody knows (house rule)
        LONGEST_PIECE = 4 # that must not be all of it, over and over (house rule)
        SHORTEST_KNOWN = 3 # words of a name

        module_function

        # @param password [String]
        # @param about [Array<String>] what anybody knows of the person: name, e-mail, the shop's name
        # @param common [#include?] passwords that everybody tries, in small letters
        # @return [String, nil] what is wrong with it
        def problem(password, about: [], common: [])
          return "is too short: at least #{LEAST_LETTERS} letters" if password.length < LEAST_LETTERS
          return "is too long: at most #{MOST_BYTES} letters" if password.bytesize > MOST_BYTES

          plain = password.downcase
          return "is one that everybody tries" if common.include?(plain) || repeated?(plain)

          "is little more than a name that others know" if rest(plain, about).length < LEAST_OF_ITS_OWN
        end

        def repeated?(plain)
          (1..LONGEST_PIECE).any? { |size| (plain[0, size] * plain.length)[0, plain.length] == plain }
        end

        # @return [String] without what is known
        def rest(plain, about)
          words = about.flat_map { |text| text.to_s.downcase.split(/[^\p{L}\p{N}]+/) }
          words.select { |word| word.length >= SHORTEST_KNOWN }.sort_by { |word| -word.length }
            .inject(plain) { |left, word| left.gsub(word, "") }.gsub(/[^\p{L}\p{N}]/, "")
        end
        private_class_method :repeated?, :rest
      end
    end
  end
end
