# frozen_string_literal: true

require_relative "../../core_helper"

class ChannelsTest < CoreTest
  CUSTOMER = Struct.new(:name, :email, :phone, keyword_init: true)
  # Whoever writes knows how an address is written.
  SHOP = Class.new { def address_of(customer) = [customer.name, "Kiln Lane 3"] }.new

  def test_each_channel_says_where_a_card_goes
    customer = CUSTOMER.new(name: "Edda Test", email: "edda@example.org", phone: "555-0101")

    assert_equal({ email: "edda@example.org", text: "555-0101", post: '["Edda Test", "Kiln Lane 3"]',
      phone: "555-0101" },
      Cards::Channels::ALL.to_h { |channel| [channel.key, channel.recipient(customer, SHOP)] })
  end

  # What costs least comes first; no column of another's list means two of them.
  def test_the_folder_is_the_list_and_the_rank_its_order
    assert_equal %i[email text post phone], Cards::Channels::ORDER
    files = Dir[File.join(CoreAlone::ROOT, "core/cards/channels/*.rb")].map { |file| File.basename(file, ".rb").to_sym }

    assert_equal files.sort, Cards::Channels::ORDER.sort
    assert_equal files.size, Cards::Channels::ALL.map(&:rank).uniq.size
    assert_equal (names = Cards::Channels::ALL.flat_map(&:agreed_elsewhere)).uniq, names
  end

  def test_each_channel_is_whole
    Cards::Channels::ALL.each do |channel|
      assert_kind_of Integer, channel.lead_days
      refute_empty channel.words
      refute_empty channel.agreed_words
      assert_includes [true, false], channel.tells?
      assert_equal channel, Cards::Channels.of(channel.key.to_s)
      channel.parts.each_key { |text| assert_includes Cards::Texts::CARD, text }
      assert_includes Policies::Table::BY_KEY, "#{channel.key}_lead_days"
    end
  end
end
