# frozen_string_literal: true

require_relative "../../core_helper"

# What a newer version of a sheet says otherwise, in words.
class SheetChangesTest < CoreTest
  def sheet(*places)
    { "positions" => places.map { |key, name| { "key" => key, "name" => name } } }
  end

  def changes(before, after)
    Sheets::Changes.new(before, after).call
  end

  def test_what_went_is_named_before_what_came
    assert_equal ["place Old foam removed", "place New foam added"],
      changes(sheet(%w[a Bag], ["b", "Old foam"]), sheet(%w[a Bag], ["c", "New foam"]))
  end

  def test_what_is_called_otherwise_and_what_stands_elsewhere
    assert_equal ["Foam: name was Bag, is Foam"], changes(sheet(%w[a Bag]), sheet(%w[a Foam]))
    assert_equal ["places reordered"], changes(sheet(%w[a Bag], %w[b Hose]), sheet(%w[b Hose], %w[a Bag]))
    assert_empty changes(sheet(%w[a Bag]), sheet(%w[a Bag]))
  end
end
