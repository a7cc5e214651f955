# frozen_string_literal: true

require "securerandom"
require "uri"

module Hostile
  # Somebody at work over the wire: sends each thing with a key of its own until it is answered for, however often the
  # server goes away in between, and remembers what was.
  class Clerk
    AGAIN_SECONDS = 0.15
    FORM_TOKEN = /name="_csrf" value="([^"]+)"/

    # @param wire [Wire]
    def initialize(wire)
      @wire = wire
      cookie, @token = self.class.signed_in(wire, "Ines Varga")
      @headers = { "Cookie" => cookie }
    end

    # @param path [String]
    # @param fields [Hash{String=>String}]
    # @param fragment [Boolean] as the look-over's script sends it
    # @yieldparam answer [Wire::Answer]
    # @yieldreturn [Boolean] whether that is an answer
    # @return [Wire::Answer]
    def send_until_answered(path, fields, fragment: false)
      headers = fragment ? @headers.merge("HX-Request" => "true") : @headers
      loop do
        answer = @wire.ask("POST", path, body: URI.encode_www_form(fields.merge("_csrf" => @token)), headers: headers)
        return answer if yield(answer)

        sleep AGAIN_SECONDS
      rescue SystemCallError
        sleep AGAIN_SECONDS
      end
    end

    # A form with a file.
    # @param bytes [String]
    def upload(path, field, bytes)
      head = "--B\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n#{@token}\r\n--B\r\nContent-Disposition: " \
             "form-data; name=\"#{field}\"; filename=\"a.csv\"\r\n" \
             "Content-Type: text/csv\r\n\r\n"
      body = head.b << bytes << "\r\n--B--\r\n"
      @wire.ask("POST", path, body: body, headers: @headers.merge("Content-Type" => "multipart/form-data; boundary=B"))
    end

    # A page that anybody may open by its code, with the form that stands on it.
    def self.behind(wire, path)
      page = again { wire.ask("GET", path).then { |answer| answer if answer.status == 200 } }
      [page.headers.fetch("set-cookie")[/\A[^;]+/], page.body[FORM_TOKEN, 1]]
    end

    def self.again
      loop do
        found = yield
        return found if found

        sleep AGAIN_SECONDS
      rescue SystemCallError, Sequel::Error
        sleep AGAIN_SECONDS
      end
    end

    # Signs in, and takes the form token of the first page: the session's cookie changes with it.
    # @return [Array(String, String)] cookie and token
    def self.signed_in(wire, name)
      cookie, token = behind(wire, "/login")
      typed = { "_csrf" => token, "login" => UprightBench::Demo::Load.mail(name),
                "password" => UprightBench::Demo::Load::PASSWORD }
      answer = wire.ask("POST", "/login", body: URI.encode_www_form(typed), headers: { "Cookie" => cookie })
      page = wire.ask("GET", "/legend", headers: { "Cookie" => answer.headers.fetch("set-cookie")[/\A[^;]+/] })
      [page.headers.fetch("set-cookie")[/\A[^;]+/], page.body[FORM_TOKEN, 1] ||
        raise("could not sign in: #{answer.status}")]
    end
  end
end
