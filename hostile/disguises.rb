# frozen_string_literal: true

module Hostile
  # The same address, written so that one program might read it otherwise than the next.
  module Disguises
    # @param path [String] as in "/jobs/1001"
    # @return [Array<String>]
    def self.of(path)
      bare = path.delete_prefix("/")
      ["/c/../", "/j/../", "/c/%2e%2e/", "/c/%2E./", "/c/.%2e/", "/c/..%2f", "/c%2f..%2f", "/c/..\\", "/c/..%5c",
       "/c/%252e%252e/", "/c/%25252e%25252e%25252f", "/c/..;/",
       "/c/x/../../", "//", "///", "/./", "/%2e/", "/healthz/../", "/assets/../", "/assets/000000000000/../",
       "/login/../", "/c/x?/../", "\\", "/%2f", "/\t"].map { |before| before + bare } +
        ["", "/", "//", "/.", "%00", "?x=/c/", ";x", ".html"]
          .map { |after| "/#{bare}#{after}" } + ["/#{encoded(bare)}", "/#{bare.capitalize}"]
    end

    # Its first letter written as a number.
    def self.encoded(bare)
      bare.empty? ? bare : "%#{bare[0].unpack1('H2')}#{bare[1..]}"
    end
    private_class_method :encoded
  end
end
