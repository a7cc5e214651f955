# frozen_string_literal: true

require "mail"
require_relative "../test_helper"

# Read back by the mail library, and held against the line rules of RFC 5322.
class MailMessageTest < AppTest
  def written(**changes)
    Formats::MailMessage.new(from: ["Ropewalk", "a@example.org"], to: "b@example.org", subject: "due",
      id: "key-1@example.org", date: NOW, text: "text", html: "<p>text</p>",
                             **changes).to_s
  end

  def read(**changes)
    Mail.read_from_string(written(**changes))
  end

  def test_it_reads_back_as_it_was_written
    mail = read(headers: { "List-Unsubscribe" => "<http://x/c/1/stop>" })

    assert_equal [["a@example.org"], ["b@example.org"], "due", "key-1@example.org", "multipart/alternative",
                  "<http://x/c/1/stop>"],
      [mail.from, mail.to, mail.subject, mail.message_id, mail.mime_type, mail["List-Unsubscribe"].decoded]
    assert_equal %w[text/plain text/html], mail.parts.map(&:mime_type)
    assert_empty mail.errors
    assert_in_delta NOW.to_i, mail.date.to_time.to_i, 1
  end

  def test_any_text_comes_through
    ["Dear Linnéa,\n\nlängst fällig: 3 × 2 = 6\n", ".\n..\nFrom here\n--=_key1exampleorg--", "#{'ø' * 3000}\ttab ",
     "=3D", "a" * 5000, "line \nline\t\n"].each do |text|
      assert_equal text, read(text: text).text_part.decoded.gsub("\r\n", "\n"), text[0, 20]
    end
  end

  def test_any_subject_and_name_come_through
    ["Mørksund: ein neuer Filter, fällig März 2027", "x " * 200, "=?UTF-8?B?YQ==?=", "“quoted” & 😀 #{'ł' * 90}",
     "plain"].each do |words|
      assert_equal words.strip, read(subject: words).subject.strip
      assert_equal words.strip, read(from: [words, "a@example.org"])[:from].display_names.first.strip, words
    end
    assert_equal 'The "Sweeper" \\ shop', read(from: ['The "Sweeper" \\ shop', "a@example.org"])[:from]
      .display_names.first
  end

  # Clauses 2.1.1 and 2.2: lines of 998 at most, better 78; nothing but ASCII; no bare CR or LF.
  def test_the_line_rules
    raw = written(subject: "Mørksund #{'fällig ' * 30}", text: "ø" * 2000, from: ["Ropewalk " * 20, "a@example.org"])

    assert_predicate raw, :ascii_only?
    refute_match(/[^\r]\n|\r[^\n]/, raw)
    assert_operator raw.split("\r\n").map(&:size).max, :<=, 78
  end

  def test_nobody_writes_a_header_of_their_own
    mail = read(subject: "a\r\nBcc: evil@example.org", from: ["x\r\nBcc: evil@example.org", "a@example.org"])

    assert_nil mail.bcc
    assert_equal ["b@example.org"], mail.destinations
  end

  def test_an_address_that_is_no_ascii_is_refused
    assert_raises(ArgumentError) { written(to: "ø@example.org") }
  end
end
