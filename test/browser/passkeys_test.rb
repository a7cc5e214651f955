# frozen_string_literal: true

require_relative "../browser_helper"

# A passkey in a browser, with the virtual authenticator of Chromium's debugging protocol. Browsers take passkeys at
# "localhost", and never at a number.
class PasskeysInBrowserTest < BrowserTest
  DEVICE = { protocol: "ctap2", transport: "internal", hasResidentKey: true, hasUserVerification: true,
             isUserVerified: true, automaticPresenceSimulation: true }.freeze

  def test_added_with_the_password_and_used_without
    at_localhost do
      with_device
      sign_in_here
      visit "/me"
      click_on "Add a passkey"

      assert_empty axe
      fill_in "Your password", with: Demo::Load::PASSWORD
      click_on "Add it"

      assert_text "Codes for when phone or passkey is lost"
      visit "/me"

      assert_text(/added today, last used today/)
      visit "/logout"
      click_on "Sign out" # in the field of the sign-in page the device chooses at once

      assert_selector "nav.duct"
      visit "/me"

      assert_text "Tobiah Lund"
    end
  end

  # The device does not know who it is: the page says what to do.
  def test_nothing_chosen_is_said
    at_localhost do
      with_device(isUserVerified: false)
      click_on "Sign in with a passkey"

      assert_text(/Nothing was chosen|did not answer/)
      assert_no_selector "nav.duct"
    end
  end

  # With the password first, the passkey stands in for the code.
  def test_after_the_password
    at_localhost do
      with_device
      sign_in_here
      visit "/webauthn-setup"
      fill_in "Your password", with: Demo::Load::PASSWORD
      click_on "Add it"

      assert_text "Codes for when phone or passkey is lost"
      without_device do
        visit "/logout"
        click_on "Sign out"
        fill_in "E-mail", with: Demo::Load.mail("Tobiah Lund")
        fill_in "Password", with: Demo::Load::PASSWORD
        click_on "Sign in", exact: true

        assert_text "Your passkey"
        assert_empty axe
      end
      click_on "Go on with the passkey"

      assert_selector "nav.duct"
    end
  end

  private

  def at_localhost
    before = Capybara.app_host
    Capybara.app_host = "http://localhost:#{page.server.port}"
    yield
  ensure
    Capybara.app_host = before
  end

  def with_device(**more)
    visit "/login"
    protocol.command("WebAuthn.enable")
    add_device(**more)
  end

  def add_device(**more)
    @device = protocol.command("WebAuthn.addVirtualAuthenticator", options: { **DEVICE, **more })["authenticatorId"]
  end

  # The block happens while the device is elsewhere.
  def without_device
    keys = protocol.command("WebAuthn.getCredentials", authenticatorId: @device)["credentials"]
    protocol.command("WebAuthn.removeVirtualAuthenticator", authenticatorId: @device)
    yield
    add_device
    keys.each { |key| protocol.command("WebAuthn.addCredential", authenticatorId: @device, credential: key) }
  end

  def protocol
    page.driver.browser.page
  end

  def sign_in_here
    fill_in "E-mail", with: Demo::Load.mail("Tobiah Lund")
    fill_in "Password", with: Demo::Load::PASSWORD
    click_on "Sign in", exact: true

    assert_selector "nav.duct"
  end
end
