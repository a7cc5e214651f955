# frozen_string_literal: true

require_relative "../test_helper"
require "tmpdir"

# The stand-ins for post, text gateway and mail, and the trouble that they can be told to make.
class DevicesTest < AppTest
  TRIES = 2000

  def trouble(said, channel: "email")
    Outbox::Devices::Trouble.for(channel, Config::Settings.new({ "DEVICE_TROUBLE" => said }))
  end

  def in_folder
    Dir.mktmpdir { |folder| yield Pathname(folder).join("not/there/yet") }
  end

  # @return [Array(Integer, Symbol)] how often it was handed over, and how that ended
  def told(trouble, what, to: what)
    times = 0
    trouble.around(what, to: to) { times += 1 }
    [times, :well]
  rescue Outbox::Rejected
    [times, :rejected]
  rescue Outbox::Devices::Trouble::Failure
    [times, :failed]
  end

  def test_without_a_setting_there_is_no_trouble
    [nil, "", "text: fail 100", "email:", " email : "].each do |said|
      assert_equal [1, :well], told(trouble(said), "card 1"), said.inspect
    end
  end

  def test_each_kind_of_trouble
    { "fail" => [0, :failed], "unanswered" => [1, :failed], "twice" => [2, :well],
      "refuse" => [0, :rejected] }.each do |kind, ends|
      assert_equal ends, told(trouble("email: #{kind} 100"), "card 1"), kind
      assert_equal [1, :well], told(trouble("email: #{kind} 0"), "card 1"), kind
    end
  end

  def test_late_is_late_and_arrives
    late = trouble("text: late 100", channel: "text")
    waited = 0

    late.stub(:sleep, ->(seconds) { waited += seconds }) { assert_equal [1, :well], told(late, "card 1") }

    assert_equal Outbox::Devices::Trouble::LATE_SECONDS, waited
  end

  # About 30 % of the hand-overs fail, and one that is repeated ends as it did before.
  def test_the_same_hand_over_meets_the_same_trouble
    fail = trouble("email: fail 30")
    twice = Array.new(2) { Array.new(TRIES) { |index| told(fail, "card #{index} 1") } }
    again = Array.new(TRIES) { |index| told(fail, "card #{index} 2") }

    assert_equal(*twice)
    refute_equal twice.first, again
    assert_in_delta 0.3, twice.first.count([0, :failed]) / TRIES.to_f, 0.04
  end

  # It is the address that is no good, whatever is written to it.
  def test_an_address_is_refused_however_often_it_is_tried
    refuse = trouble("email: refuse 50")
    ends = Array.new(20) do |index|
      Array.new(5) { |try| told(refuse, "card #{try}", to: "c#{index}@example.org") }.uniq
    end

    assert(ends.all? { |one| one.size == 1 })
    assert_equal [[0, :rejected], [1, :well]], ends.flatten(1).uniq.sort
  end

  def test_a_setting_that_says_something_else_is_refused
    ["email: explode 5", "email: fail", "email: fail much", "email: fail -5", "text: return 5"].each do |said|
      assert_raises(ArgumentError, said) { trouble(said, channel: said[/\A\w+/]) }
    end
    assert trouble("email: return 100").returns?("anybody")
    refute trouble("email: return 0").returns?("anybody")
  end

  def test_what_lies_in_the_tray_stays_as_it_is
    in_folder do |folder|
      tray = Outbox::Devices::Tray.new(folder)

      refute tray.has?("card.pdf")
      tray.put("card.pdf", "first")
      tray.put("card.pdf", "second")

      assert tray.has?("card.pdf")
      assert_equal({ "card.pdf" => "first" }, Dir.children(folder).to_h { |name| [name, folder.join(name).read] })
    end
  end

  # A paper whose hand-over got no answer is in the tray; one whose hand-over failed is not.
  def test_the_tray_in_trouble
    in_folder do |folder|
      { "unanswered" => true, "fail" => false }.each do |kind, there|
        tray = Outbox::Devices::Tray.new(folder, trouble("post: #{kind} 100", channel: "post"))

        assert_raises(Outbox::Devices::Trouble::Failure) { tray.put("#{kind}.pdf", "bytes") }
        assert_equal there, tray.has?("#{kind}.pdf"), kind
      end
    end
  end

  # E.164: a plus at most, and fifteen digits at most.
  def test_numbers_that_take_a_text_message
    in_folder do |folder|
      gateway = Outbox::Devices::TextGateway.new(folder)
      good = { "555-0199" => "5550199", "+1 (555) 010.0199" => "+15550100199", "0555/0199" => "05550199",
               "1" * 15 => "1" * 15, "1234" => "1234" }
      good.each_key { |typed| submit(gateway, typed) }
      written = Dir[folder.join("*.json")].to_h { |file| [File.basename(file, ".json"), JSON.parse(File.read(file))] }

      assert_equal good, good.keys.to_h { |typed| [typed, written.fetch(key(typed)).fetch("to")] }
      ["", "call me", "123", "1" * 16, "555-0199 ext 4", "++15550199", "5550199\n5550200"].each do |typed|
        assert_raises(Outbox::Rejected, typed) { submit(gateway, typed) }
        refute gateway.has?(key(typed)), typed
      end
    end
  end

  def submit(gateway, typed)
    gateway.submit(key(typed), to: typed, gsm: Core::Cards::Gsm.new(text: "The belt is due."))
  end

  def key(typed)
    Digest::MD5.hexdigest(typed).sub(/\A(.{8})(.{4})(.{4})(.{4})(.{12})\z/, '\1-\2-\3-\4-\5')
  end
end
