# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# Where somebody looks first is there: each stop of the tour answers.
class TourTest < DatabaseTest
  include AsStaff

  def test_each_stop_is_there
    Dir.mktmpdir do |folder|
      Demo::Tour.write(Pathname(folder))
      stops = JSON.parse(File.read(File.join(folder, Demo::Tour::FILE)))

      assert_equal ["the bench", "a customer's page", "a look-over, for a phone"], stops.keys
      get stops.fetch("a customer's page")

      assert_equal 200, status, "without signing in"
      sign_in
      stops.each_value do |path|
        get path

        assert_equal 200, status, path
      end
      assert_says(/Look over|look-over/i)
    end
  end
end
