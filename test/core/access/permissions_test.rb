# frozen_string_literal: true

require_relative "../../core_helper"

class PermissionsTableTest < CoreTest
  Permissions = Access::Permissions

  def test_each_row_names_roles_that_there_are
    Permissions::ALL.each do |row|
      assert_empty row.roles - Access::Roles::ALL, row.key
      assert_includes row.roles, "owner", row.key
      refute_includes row.roles - (row.reading ? %w[look_only] : []), "look_only", "who looks only does nothing"
      refute_empty row.refusal
    end
    assert_equal Permissions::ALL.size, Permissions::BY_KEY.size
  end

  def test_the_owner_says_otherwise
    assert Permissions.allow?(:send_cards, "counter", nil)
    refute Permissions.allow?(:send_cards, "counter", [])
    assert Permissions.allow?(:settings, "counter", %i[settings])
    refute Permissions.allow?(:settings, "counter", nil)
  end

  # What would lock everybody out, or make another owner, is not said by a tick.
  def test_what_is_fixed_stays
    refute Permissions.allow?(:people, "counter", %i[people])
    refute Permissions.allow?(:moving_out, "counter", %i[moving_out])
    assert Permissions.allow?(:work, "counter", [])
    Permissions::ALL.each { |row| assert Permissions.allow?(row.key, "owner", []) }
    refute Permissions.fits?(Permissions.fetch(:send_cards), "look_only")
    assert Permissions.fits?(Permissions.fetch(:see_costs), "look_only")
  end

  def test_an_unknown_row_is_no_answer
    assert_raises(KeyError) { Permissions.allow?(:nothing, "owner", nil) }
  end
end
