# frozen_string_literal: true

require_relative "../test_helper"

# The options of a select: one is chosen at most, and nothing gets out of its attribute.
class OptionsTest < AppTest
  def test_what_is_chosen_is_selected_and_nothing_else
    options = Screens::Options.of({ 1 => "one", nil => "none", "b" => "two" })
    chosen = ->(value) { options.with(value).scan(%r{value="(\w*)" selected>(\w+)</option>}) }

    assert_equal [[%w[1 one]], [%w[b two]], [["", "none"]], []], ["1", "b", "", "c"].map(&chosen)
    assert_equal 3, options.with("b").scan("<option ").size
    assert_same options, Screens::Options.of(options)
  end

  def test_words_and_values_are_escaped
    html = Screens::Options.of({ %("><script>) => "<b>" }).with(%("><script>))

    assert_equal '<option value="&quot;&gt;&lt;script&gt;" selected>&lt;b&gt;</option>', html
  end

  def test_countries_and_zones
    assert_match(%r{\A<option value="">Choose</option><option value="AF">}, Screens::Options.countries("Choose").with("CA"))
    assert_includes Screens::Options.countries.with("CA"), '<option value="CA" selected>Canada</option>'
    assert_includes Screens::Options.time_zones.with("America/Halifax"), '<option value="America/Halifax" selected>'
  end
end
