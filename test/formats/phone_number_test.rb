# frozen_string_literal: true

require_relative "../test_helper"

# Numbers are those that ITU-T E.123 and E.164 and the regulators give as examples or keep free for fiction (from
# memory: 01632 960 and 020 7946 0 in the United Kingdom, 555-01 in North America).
class PhoneNumberTest < AppTest
  def e164(text, country = "CA")
    Formats::PhoneNumber.e164(text, country)
  end

  def test_one_form_whatever_it_was_typed_in
    ["(902) 425-0142", "902.425.0142", "1 902 425 0142", "+1 902 425 0142", "001 902 425 0142", "9024250142"]
      .each { |text| assert_equal "+19024250142", e164(text), text }
    ["020 7946 0958", "+44 (0)20 7946 0958", "0044 20 7946 0958"].each do |text|
      assert_equal "+442079460958", e164(text, "GB"), text
    end
    assert_equal "+4930901820", e164("030/90 18 20", "DE")
  end

  def test_what_is_no_number_stays_as_it_was_typed
    ["555-0142", "ask for Jo", "(902) 425-0142 ext. 12", "", nil, "00000000000"].each do |text|
      assert_nil e164(text), text.inspect
    end
    assert_equal "555-0142", Formats::PhoneNumber.kept("555-0142", "CA")
  end

  def test_shown_as_it_is_dialed_from_there
    assert_equal "(902) 425-0142", Formats::PhoneNumber.shown("+19024250142", "CA")
    assert_equal "020 7946 0958", Formats::PhoneNumber.shown("+442079460958", "GB")
    assert_equal "+44 20 7946 0958", Formats::PhoneNumber.shown("+442079460958", "CA")
    assert_equal "555-0142", Formats::PhoneNumber.shown("555-0142", "CA")
    assert_nil Formats::PhoneNumber.shown(nil, "CA")
  end

  # What is shown and typed in again is the same number.
  def test_there_and_back
    { "CA" => "+19024250142", "GB" => "+442079460958", "DE" => "+4930901820", "FR" => "+33123456789",
      "IT" => "+390612345678" }.each do |country, number|
      ["CA", "GB", country].each do |shop|
        assert_equal number, e164(Formats::PhoneNumber.shown(number, shop), shop), [country, shop]
      end
    end
  end
end
