# frozen_string_literal: true

require_relative "../core_helper"

# The core is plain Ruby: it loads alone, and knows neither clock, chance, files, environment nor database.
class AloneTest < CoreTest
  FILES = Dir[File.join(CoreAlone::ROOT, "core/**/*.rb")].freeze
  CLOCKS = "Time\\.now|Date\\.today|DateTime\\.now|Process\\.clock|rand|SecureRandom|Random"
  FORBIDDEN = /\b(?:#{CLOCKS}|ENV|File|Dir|IO|Sequel|Rack|Sinatra|Models|Services|Screens|Config)\b/

  def test_names_nothing_from_outside
    found = FILES.flat_map do |file|
      File.readlines(file).each_with_index.filter_map do |line, number|
        code = line.sub(/#.*/, "").gsub(/"[^"]*"/, '""')
        "#{file}:#{number + 1}: #{code.strip}" if code.match?(FORBIDDEN)
      end
    end

    assert_empty found
  end

  # A process of its own, with no gem at hand.
  def test_loads_with_nothing_but_ruby
    program = <<~RUBY
      require "#{File.join(CoreAlone::ROOT, 'launch/core_alone')}"
      walk = ->(space) { space.constants.each { |name| one = space.const_get(name); walk.(one) if one.is_a?(Module) && one.name.to_s.start_with?(space.name) } }
      walk.(UprightBench::Core)
      gems = $LOADED_FEATURES.grep(%r{/gems/}).reject { |path| path.include?("rubygems") }
      abort gems.join("\\n") if gems.any?
    RUBY

    assert system({ "RUBYOPT" => nil, "RUBYLIB" => nil }, "ruby", "--disable=gems", "-e", program),
      "the core does not load alone"
  end
end
