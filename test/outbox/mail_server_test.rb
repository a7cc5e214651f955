# frozen_string_literal: true

require "mail"
require "socket"
require_relative "../test_helper"

# With SMTP_URL set, the same channel speaks to a mail server. This one takes a message by the dialogue of RFC 5321.
class MailServerTest < DatabaseTest
  class MailServer
    attr_reader :sender, :recipients, :data

    def initialize
      @socket = TCPServer.new("127.0.0.1", 0)
      @recipients = []
      @thread = Thread.new { converse(@socket.accept) }
    end

    def url
      "smtp://127.0.0.1:#{@socket.addr[1]}"
    end

    def close
      @thread.join(5)
      @socket.close
    end

    private

    def converse(client)
      client.print "220 ready\r\n"
      while (line = client.gets)
        client.print reply(line, client)
        break if line.start_with?("QUIT")
      end
      client.close
    end

    def reply(line, client)
      case line
      when /\AEHLO/ then "250 here\r\n"
      when /\AMAIL FROM:<(.+)>/ then (@sender = Regexp.last_match(1)) && "250 fine\r\n"
      when /\ARCPT TO:<(.+)>/ then (@recipients << Regexp.last_match(1)) && "250 fine\r\n"
      when /\ADATA/ then take_data(client)
      when /\AQUIT/ then "221 bye\r\n"
      else "250 fine\r\n"
      end
    end

    def take_data(client)
      client.print "354 go on\r\n"
      @data = +""
      while (line = client.gets) && line != ".\r\n"
        @data << line
      end
      "250 taken\r\n"
    end
  end

  def letter
    line = Core::Cards::Letter::Line.new(machine: "Brackwater Loft K", part: "Exhaust cassette", action: "replace",
      due_on: today, overdue: false)
    Core::Cards::Letter.new(customer: "Šárka Þ.", shop: "Shop", shop_phone: "555-0199", lines: [line],
      link: "http://127.0.0.1/c/abc")
  end

  def test_a_card_reaches_the_server_as_it_would_reach_the_drop
    server = MailServer.new
    message = Models::Message.new(recipient: "sarka@example.org", key: SecureRandom.uuid, channel: "email")
    Outbox::EmailChannel.new(Config::Settings.new({ "SMTP_URL" => server.url,
      "RETURN_ADDRESS" => "returned@example.org" })).deliver(message, letter, Models::Shop.the)
    server.close
    mail = Mail.new(server.data)

    assert_equal ["returned@example.org", ["sarka@example.org"], [Models::Shop.the.email]],
      [server.sender, server.recipients, mail.from]
    assert_equal letter.subject, mail.subject
    assert_equal "#{letter.text}\n\nRopewalk Vacuum Repair, Ferry Slip 3, Pell Harbor NS B0X 0A1",
      mail.text_part.decoded.gsub("\r\n", "\n")
    assert_match(/\A#{message.key}@/, mail.message_id)
  end

  def test_a_server_that_is_not_there_is_an_error_to_be_tried_again
    taken = TCPServer.new("127.0.0.1", 0)
    port = taken.addr[1]
    taken.close
    message = Models::Message.new(recipient: "sarka@example.org", key: SecureRandom.uuid, channel: "email")

    channel = Outbox::EmailChannel.new(Config::Settings.new({ "SMTP_URL" => "smtp://127.0.0.1:#{port}" }))

    assert_raises(SystemCallError) { channel.deliver(message, letter, Models::Shop.the) }
  end

  def test_a_line_break_in_an_address_makes_no_second_header
    message = Models::Message.new(recipient: "a@example.org\r\nBcc: b@example.org", key: SecureRandom.uuid,
      channel: "email")

    assert_raises(Outbox::Rejected) { Outbox::CardMail.write(message, letter, Models::Shop.the) }
  end

  # What "send me a test" says of servers that are none, offer no encryption, or show a certificate of their own making.
  def test_what_a_server_answers_is_said_in_plain_words
    closed = TCPServer.new("127.0.0.1", 0)
    port = closed.addr[1].tap { closed.close }
    plain = MailServer.new

    assert_match(/\ANobody listens there/, test_by("smtp://127.0.0.1:#{port}"))
    assert_match(/\AThe mail server offers no encryption/, test_by("#{plain.url}?starttls=required"))
    assert_match(/\ANo encrypted connection/, with_own_certificate { |address| test_by("smtps://#{address}") })
  end

  def test_a_test_reaches_whoever_asks
    server = MailServer.new

    assert_nil test_by(server.url)
    server.close

    assert_equal [[owner.email], "A test from #{Models::Shop.the.name}"],
      [server.recipients, Mail.new(server.data).subject]
    assert_raises(Services::Forbidden) { Services::TestMail.call(by: technician) }
  end

  private

  def test_by(url)
    Services::TestMail.call(by: owner, settings: Config::Settings.new({ "SMTP_URL" => url }))
  end

  def with_own_certificate
    key = OpenSSL::PKey::RSA.new(2048)
    made = OpenSSL::X509::Certificate.new
    made.public_key = key.public_key
    made.not_before = Time.now - 60
    made.not_after = Time.now + 600
    made.sign(key, OpenSSL::Digest.new("SHA256"))
    socket = TCPServer.new("127.0.0.1", 0)
    context = OpenSSL::SSL::SSLContext.new.tap { |one| one.add_certificate(made, key) }
    thread = Thread.new { OpenSSL::SSL::SSLServer.new(socket, context).accept rescue nil } # rubocop:disable Style/RescueModifier
    yield "127.0.0.1:#{socket.addr[1]}"
  ensure
    thread&.kill
    socket&.close
  end
end
