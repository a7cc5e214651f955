# frozen_string_literal: true

module Hostile
  # The same address, written so that one program might read it otherwise than the next.
  module Disguises
    # @param path [String] as in "/jobs/1001"
    # @return [Array<String>]
    def self.of(path)
      bare = path.delete_prefix("/")
      [path, "/c/../#{bare}", "/j/../#{bare}", "/c/%2e%2e/#{bare}", "/c/%2E./#{bare}", "/c/.%2e/#{bare}", "/c/..%2f#{bare}", "/c%2f..%2f#{bare}", "/c/..\\#{bare}",
       "/c/..%5c#{bare}", "/c/%252e%252e/#{bare}", "/c/%25252e%25252e%25252f#{bare}", "/c/..;/#{bare}", "/c/x/../../#{bare}", "//#{bare}", "///#{bare}", "/./#{bare}", "/%2e/#{bare}",
       "/#{bare}/", "/#{bare}//", "/#{bare}/.", "/healthz/../#{bare}", "/app.css/../#{bare}", "/vendor/../#{bare}", "/login/../#{bare}", "/#{bare}%00", "/#{bare}?x=/c/",
       "/c/x?/../#{bare}", "/#{encoded(bare)}", "/#{bare.capitalize}", "/#{bare};x", "/#{bare}.html", "\\#{bare}", "/%2f#{bare}", "/\t#{bare}"].uniq
    end

    # Its first letter written as a number.
    def self.encoded(bare)
      bare.empty? ? bare : "%#{bare[0].unpack1('H2')}#{bare[1..]}"
    end
    private_class_method :encoded
  end
end
