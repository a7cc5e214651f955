# frozen_string_literal: true

require_relative "../test_helper"

# All screens share one application: a helper that two of them name alike would be the other's.
class HelpersTest < AppTest
  def test_no_helper_is_named_twice
    modules = Screens::App::SCREENS.select { |screen| screen.const_defined?(:Helpers, false) }
      .map { |screen| screen.const_get(:Helpers) } +
              [Screens::Helpers::Page, Screens::Helpers::Words, Screens::Helpers::Fields, Screens::Helpers::SheetFields]
    names = modules.flat_map { |helpers| helpers.instance_methods(false) + helpers.private_instance_methods(false) }
    own = Sinatra::Base.instance_methods + Sinatra::Base.private_instance_methods

    assert_empty names.tally.select { |_, count| count > 1 }.keys
    assert_empty names & own
  end
end
