# frozen_string_literal: true

require_relative "../test_helper"

class AddressBookTest < AppTest
  Whose = Struct.new(*%i[name phone email street town region postcode country notes])

  # After the examples of RFC 6350, section 8, and RFC 2426, section 7 (from memory): folded lines, escaped signs,
  # groups, a phone as an address.
  FOUR = "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Ané Kell\r\nN:Kell;Ané;;;\r\n" \
         "TEL;VALUE=uri;TYPE=\"voice,home\":tel:+1-902-425-0142\r\nEMAIL;TYPE=work:ane@kell.example\r\n" \
         "ADR;TYPE=home:;;3 Quay\\, Upper;Tweed;NS;B3J 1A1;Canada\r\nNOTE:two\\nlines\r\nEND:VCARD\r\n"
  THREE = "BEGIN:VCARD\nVERSION:3.0\nN:Kell;Jo;;;\nORG:Quay Laundry;Night shift\nTEL;TYPE=CELL:902 425 0143\n" \
          "item1.EMAIL;TYPE=INTERNET:jo@kell.example\nNOTE:a long\n er line\nEND:VCARD\n"

  def test_both_versions_are_read
    four, three = Formats::AddressBook.rows(FOUR + THREE)

    assert_equal({ "name" => "Ané Kell", "company" => nil, "phone" => "+1-902-425-0142", "email" => "ane@kell.example",
                   "street" => "3 Quay, Upper", "town" => "Tweed", "region" => "NS", "postcode" => "B3J 1A1",
                   "country" => "Canada", "notes" => "two\nlines" }, four[0])
    assert_equal 1, four[1]
    assert_equal ["Jo Kell", "Quay Laundry", "902 425 0143", "jo@kell.example", "a longer line"],
      three[0].values_at("name", "company", "phone", "email", "notes")
    assert_equal 10, three[1]
  end

  def test_what_is_written_is_read_back
    jo = Whose.new("Jo; \"Kell\", Upper", "+19024250142", "jo@kell.example", "3 Quay, Upper; flat 2", "Tweed", "NS",
      "B3J", "CA", "a\nb")
    back, = Formats::AddressBook.rows(Formats::AddressBook.write([jo]).to_a.join).first

    assert_equal jo.to_a, back.values_at(*%w[name phone email street town region postcode country notes])
  end

  def test_a_card_that_is_none_is_named_by_its_line
    assert_includes assert_raises(Formats::Malformed) { Formats::AddressBook.rows("#{FOUR}BEGIN:VCARD\nFN\n") }.message,
      "Line 10"
  end

  def test_what_begins_like_one
    assert Formats::AddressBook.cards?("\r\nbegin:vcard\r\nVERSION:4.0")
    refute Formats::AddressBook.cards?("Name,BEGIN:VCARD\n")
  end
end
