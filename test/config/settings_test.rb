# frozen_string_literal: true

require_relative "../test_helper"

class SettingsTest < AppTest
  def test_every_setting_has_a_default_that_suits_the_demo
    settings = Config::Settings.new({})

    assert_equal [4610, "http://127.0.0.1:4610", nil, false],
      [settings.port, settings.public_url, settings.mail_server, settings.tls?]
    assert_operator settings.keys.newest(:session).bytesize, :>=, 64
    assert_raises(KeyError) { settings.database_url }
  end

  def test_what_the_environment_says_wins
    settings = Config::Settings.new({ "PORT" => "5000", "RETURN_ADDRESS" => "back@bench.example",
                                      "PUBLIC_URL" => "https://bench.example/",
                                      "SMTP_URL" => "smtp://u:p@mail.example:587", "STATE_DIR" => "/tmp/x" })

    assert_equal ["https://bench.example", "mail.example", 587, "/tmp/x"],
      [settings.public_url, settings.mail_server.host, settings.mail_server.port, settings.state_dir.to_s]
    assert_equal ["/tmp/x/inbox", "back@bench.example"], [settings.returns_dir.to_s, settings.return_address]
    assert_predicate settings, :tls?
  end
end
