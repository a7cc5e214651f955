# frozen_string_literal: true

require "rack/test"

# Requests to the whole application, signed in, with the form token of the page last seen.
module AsStaff
  include Rack::Test::Methods

  HOST = "127.0.0.1" # a name under which the application answers

  def build_rack_test_session(_name)
    Rack::Test::Session.new(app, HOST)
  end

  def app
    @app ||= UprightBench::App.build
  end

  def sign_in(email = UprightBench::Demo::Load.mail("Ines Varga"), password = UprightBench::Demo::Load::PASSWORD)
    @token_of_session = nil
    get "/login"
    post "/login", { "_csrf" => token, "login" => email, "password" => password }
  end

  def token
    last_response.body[/name="_csrf" value="([^"]+)"/, 1]
  end

  # The block's requests come from another address.
  def from(address)
    env "REMOTE_ADDR", address
    yield
  ensure
    env "REMOTE_ADDR", nil
  end

  # Posts with a token of this session: that of the page at `from`, or of one that was seen before.
  def submit(path, fields = {}, from: nil)
    post path, fields.merge("_csrf" => from ? token_at(from) : token_of_session)
  end

  def token_at(path)
    get path
    token
  end

  # Asked for once in each session.
  def token_of_session
    @token_of_session ||= token_at("/legend")
  end

  def clear_cookies
    @token_of_session = nil
    super
  end

  def page
    last_response.body
  end

  # Fails with what the page complains of, not with the whole page.
  def assert_says(words)
    return pass if page.gsub(/\s+/, " ").match?(words)

    flunk "the page does not say #{words.inspect}; it says: " \
          "#{page.scan(%r{class="(?:field-error|slip)[^>]*>(.*?)</p>}m).flatten.join(' | ')}"
  end

  def assert_keeps(typed)
    page.include?(ERB::Util.html_escape(typed)) ? pass : flunk("#{typed[0, 40].inspect} was typed and is lost")
  end

  def status
    last_response.status
  end
end
