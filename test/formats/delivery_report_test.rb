# frozen_string_literal: true

require_relative "../test_helper"

class DeliveryReportTest < AppTest
  # After the example E.1 of RFC 3464, from memory: a server that gave up after five days. Addresses are ours.
  EXAMPLE = <<~MAIL
    Date: Thu, 7 Jul 1994 17:16:05 -0400
    From: Mail Delivery Subsystem <MAILER-DAEMON@cs.example>
    Message-Id: <199407072116.RAA14128@cs.example>
    Subject: Returned mail: Cannot send message for 5 days
    To: <shop@example.org>
    MIME-Version: 1.0
    Content-Type: multipart/report; report-type=delivery-status;
          boundary="RAA14128.773615765/cs.example"

    --RAA14128.773615765/cs.example

    The original message was received at Sat, 2 Jul 1994 17:10:28 -0400
    from root@localhost

       ----- The following addresses had delivery problems -----
    <corvell@slip.example>  (unrecoverable error)

    --RAA14128.773615765/cs.example
    content-type: message/delivery-status

    Reporting-MTA: dns; cs.example

    Original-Recipient: rfc822;corvell@slip.example
    Final-Recipient: rfc822;corvell@slip.example
    Action: failed
    Status: 4.0.0
    Diagnostic-Code: smtp; 426 connection
      timed out
    Last-Attempt-Date: Thu, 7 Jul 1994 17:15:49 -0400

    --RAA14128.773615765/cs.example
    content-type: message/rfc822

    Message-ID: <0f8fad5b-d9cb-469f-a165-70867728950e@example.org>
    Subject: Your vacuum cleaner is due

    Dear Corvell

    --RAA14128.773615765/cs.example--
  MAIL

  def read(text)
    Formats::DeliveryReport.read(text.gsub("\n", "\r\n"))
  end

  def test_a_server_that_gave_up
    report = read(EXAMPLE)

    assert_equal ["0f8fad5b-d9cb-469f-a165-70867728950e@example.org", true, "4.0.0: 426 connection timed out"],
      [report.message_id, report.failed?, report.reason]
  end

  # RFC 6522: the headers alone may be returned. RFC 2045: any part may be in base 64.
  def test_what_it_is_about_may_come_otherwise
    headers = EXAMPLE.sub("content-type: message/rfc822", "content-type: text/rfc822-headers")
    head, tail = headers.split(/(?<=rfc822-headers\n)\n/)
    returned, rest = tail.split("--RAA", 2)
    coded = "#{head}Content-Transfer-Encoding: base64\n\n#{[returned].pack('m')}\n--RAA#{rest}"

    assert_equal [read(EXAMPLE).message_id] * 2, [headers, coded].map { |text| read(text).message_id }
  end

  def test_not_every_report_says_that_it_failed
    %w[delayed delivered relayed expanded].each do |action|
      refute_predicate read(EXAMPLE.sub("Action: failed",
        "Action: #{action}")), :failed?, action
    end
    assert_predicate read(EXAMPLE.sub("Action: failed", "Action:  Failed ")), :failed?
  end

  def test_words_hold_no_signs_that_nothing_can_keep
    assert_equal "4.0.0: 426 so and so timed out", read(EXAMPLE.sub("426 connection\n", "426 so\0\a and\t so\n")).reason
  end

  def test_without_words_there_is_the_status
    assert_equal "4.0.0", read(EXAMPLE.sub(/^Diagnostic.*\n.*\n/, "")).reason
  end

  def test_anything_else_is_none
    ["", "Subject: away\n\nBack on Monday", EXAMPLE.sub("report-type=delivery-status",
      "report-type=disposition-notification"), EXAMPLE.sub(/^Message-ID: <0f.*\n/, ""),
     EXAMPLE[0, 900], "\xff\xfe\x00", "Content-Type: multipart/report; report-type=delivery-status; " \
                                      "boundary=\n\n--\n--"].each { |text| assert_nil read(text.b), text[0, 40] }
  end
end
