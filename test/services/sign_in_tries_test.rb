# frozen_string_literal: true

require_relative "../test_helper"

class SignInTriesTest < DatabaseTest
  def tries(login = "ines@example.org", address = "192.0.2.1")
    Services::SignInTries.new(login: login, address: address, key: "k")
  end

  def fail_often(times, at: NOW, **who)
    Array.new(times) { tries(*who.values).begin(at: at) }
  end

  def test_the_delay_grows_and_passes
    assert_equal [nil, nil, nil, 2], fail_often(4)
    assert_nil tries.begin(at: NOW + 2)
    assert_equal 4, tries.begin(at: NOW + 2)
    assert_equal 3, tries.begin(at: NOW + 3.5), "whole seconds, rounded up"
  end

  def test_another_address_is_not_slowed_down_and_capitals_make_no_other_account
    fail_often(4)

    assert_nil tries("ines@example.org", "192.0.2.2").begin(at: NOW)
    assert_equal 2, tries(" INES@example.org ").begin(at: NOW)
  end

  # Whoever has one address of the sixth version has the network.
  def test_addresses_of_one_network_count_together
    3.times { |n| tries("a", "2001:db8::#{n}").begin(at: NOW) }

    assert_equal 2, tries("a", "2001:db8::ffff").begin(at: NOW)
    assert_nil tries("a", "2001:db8:0:1::1").begin(at: NOW)
  end

  def test_one_address_that_goes_through_all_names
    seen = Array.new(14) { |n| tries("name#{n}@example.org").begin(at: NOW) }

    assert_equal [nil], seen.first(12).uniq
    assert_equal 2, seen.last
  end

  def test_a_right_password_forgets_the_account_and_does_not_count
    20.times do
      assert_nil tries.begin(at: NOW)
      tries.right
    end

    assert_equal 0, DB[:sign_in_tries].count
  end

  def test_a_day_forgets
    fail_often(4)

    assert_equal [nil] * 3, fail_often(3, at: NOW + (25 * 3600))
  end

  def test_neither_names_nor_addresses_are_kept
    fail_often(2)

    refute_match(/ines|192/, DB[:sign_in_tries].select_map(:key).join)
  end
end
