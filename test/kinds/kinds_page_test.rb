# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../../measure/kinds_page"
require_relative "../../measure/kinds_pictures"

# What is written about the kinds of part for others is what the kinds say.
class KindsPageTest < AppTest
  Page = Measure::KindsPage

  def test_the_page_and_the_schema_are_of_today
    assert_equal Page.new.text, File.read(Page::FILE), "stale: run bin/rake docs:kinds"
    assert_equal Page.new.schema, File.read(Page::SCHEMA), "stale: run bin/rake docs:kinds"
  end

  def test_each_kind_and_state_is_on_the_sheet_of_pictures
    page = Measure::KindsPictures.new.page
    Core::Kinds.all.each do |kind|
      assert_includes page, "<figcaption>#{kind.key}: "
      next unless kind.key != :battery

      kind.states.each_key do |word|
        assert_includes page, "<figcaption>#{kind.key}: #{word}</figcaption>"
      end
    end
  end
end
