# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# While the demo's past comes in, every page says so, and how far it is.
class LoadingTest < DatabaseTest
  include AsStaff

  def setup
    @loading = Config::Loading.new(SETTINGS.state_dir)
    sign_in
  end

  def teardown
    @loading.end
  end

  def test_what_is_kept_is_read_by_another_process
    refute_predicate @loading, :under_way?
    assert_nil @loading.progress
    @loading.begin(NOW)
    other = Config::Loading.new(SETTINGS.state_dir)

    assert_equal [true, NOW, [0, 0]], [other.under_way?, other.now, other.progress]
    @loading.keep(12, 170)

    assert_equal [NOW, [12, 170]], [other.now, other.progress]
    2.times { @loading.end }

    assert_equal [false, nil, nil], [other.under_way?, other.now, other.progress]
  end

  def test_pages_say_it_until_all_is_there
    %w[/ /cards /shelf/short].each do |path|
      get path

      refute_includes page, "being loaded", path
    end
    @loading.begin(NOW)
    get "/"

    assert_says(/Older past jobs of the demo are still being loaded\. Lists/)
    @loading.keep(12, 170)
    %w[/ /cards /shelf/short /customers /bills].each do |path|
      get path

      assert_says(/being loaded: 12 of 170 are here\./)
    end
    @loading.end
    get "/"

    refute_includes page, "being loaded"
  end
end
