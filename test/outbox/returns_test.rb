# frozen_string_literal: true

require_relative "../test_helper"

# Mail that came back: as the stand-in returns it, and what else may lie in the folder.
class ReturnsTest < DatabaseTest
  def setup
    @folder = Pathname(Dir.mktmpdir)
    @settings = Config::Settings.new(ENV.to_h.merge("STATE_DIR" => @folder.to_s,
      "DEVICE_TROUBLE" => "email: return 100").except("SMTP_URL"))
    always_open
    Models::Due.running.update(snoozed_until: today + 1000)
    machine = new_machine("Brackwater Loft K", post_agreed: true)
    Services::SetClocks.call(machine, on: today)
    Models::Due.running.where(machine_id: machine.id).update(due_on: today, early_on: today, late_on: today)
    @message = send_cards.first.message
  end

  def teardown
    @folder.rmtree
  end

  def leave
    Outbox::Round.new(@message.batch_id, at: NOW, settings: @settings).call
  end

  def read_returns
    Outbox::Returns.new(@settings).call(at: NOW)
  end

  def inbox
    @folder.join("inbox")
  end

  def names
    inbox.glob("**/*").select(&:file?).map { |file| file.relative_path_from(inbox).to_s }
  end

  def test_a_card_comes_back_once_marks_the_address_and_goes_by_another_channel
    leave
    report = inbox.join("#{@message.key}.eml").binread

    assert_equal [1, 0], [read_returns, read_returns]
    assert_equal ["bounced", "5.1.1: 550 no such mailbox"], @message.refresh.values.values_at(:state, :last_error)
    assert_equal [["email", "wendel@example.org", "5.1.1: 550 no such mailbox"]],
      @message.card.customer.channel_faults_dataset.select_map(%i[channel address reason])
    assert_equal [true], @message.card.lines.map(&:void).uniq
    @message.card.customer.channel_faults_dataset.delete
    inbox.join("again.eml").binwrite(report)
    read_returns

    assert_empty names + @message.card.customer.channel_faults_dataset.all
    @message.card.customer.update(email_agreed: false)

    assert_equal %w[post], send_cards.map(&:channel)
  end

  def test_whoever_was_forgotten_meanwhile_stays_so
    leave
    file = inbox.join("#{@message.key}.eml")
    file.binwrite(file.binread.sub("550 no such mailbox", "550 wendel@example.org\0 unknown"))
    Services::Forget.call(@message.card.customer, by: owner, at: NOW)
    read_returns

    assert_equal ["bounced", "it came back"], @message.refresh.values.values_at(:state, :last_error)
  end

  def test_only_mail_comes_back_later
    assert_raises(ArgumentError) do
      Outbox::Devices::Trouble.for("post", Config::Settings.new({ "DEVICE_TROUBLE" => "post: return 5" }))
    end
  end

  def test_what_is_late_has_not_come_back
    leave
    file = inbox.join("#{@message.key}.eml")
    file.binwrite(file.binread.sub("Action: failed", "Action: delayed"))
    read_returns

    assert_equal ["handed_over", []], [@message.refresh.state, names]
  end

  # The mail of which nobody knows, what is no report, and what is too long; what is not there yet, and what points
  # elsewhere, stay.
  def test_what_is_not_understood_is_laid_aside
    leave
    report = inbox.join("#{@message.key}.eml").binread
    inbox.join("other.eml").binwrite(report.gsub(@message.key, SecureRandom.uuid))
    inbox.join("stranger.eml").binwrite(report.gsub(@message.key, "no-key-of-ours"))
    inbox.join("away.eml").binwrite("Subject: away\r\n\r\nBack on Monday")
    inbox.join("long.eml").binwrite(report + ("x" * Outbox::Returns::MOST_BYTES))
    inbox.join(".half.eml").binwrite(report)
    inbox.join("link.eml").make_symlink(@folder.join("outbox/mail/#{@message.key}.eml"))
    read_returns

    assert_equal %w[link.eml unclear/away.eml unclear/long.eml unclear/other.eml unclear/stranger.eml], names.sort
    assert_predicate inbox.join(".half.eml"), :file?
    assert_equal "bounced", @message.refresh.state
  end

  # As when a server is quicker than the note that it took the card.
  def test_what_is_back_before_it_is_known_to_have_left_is_read_again
    leave
    %w[queued handing_over].each do |state|
      @message.refresh.update(state: state, handed_over_at: nil)
      read_returns

      assert_equal [state, 1], [@message.refresh.state, names.size]
    end
    @message.update(state: "handed_over", handed_over_at: NOW)
    read_returns

    assert_equal ["bounced", []], [@message.refresh.state, names]
  end
end
