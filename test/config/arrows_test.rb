# frozen_string_literal: true

require_relative "../test_helper"

# Dependencies point one way. Reads the names of rooms that each room's code mentions.
class ArrowsTest < AppTest
  # room => rooms it may lean on
  ALLOWED = {
    "core" => [], "drawings" => %w[Core], "papers" => %w[Core], "formats" => %w[Core], "models" => %w[Core],
    "outbox" => %w[Core Models Papers Formats Config], "pictures" => %w[Config], "services" => %w[Core Models Outbox Config Pictures Formats Papers],
    "screens" => %w[Core Models Services Drawings Papers Formats Outbox Config Pictures], "demo" => %w[Core Models Services Outbox Config]
  }.freeze
  ROOMS = /(?<![:\w])(?:UprightBench::)?(Core|Models|Services|Screens|Drawings|Papers|Formats|Outbox|Demo|Config|Pictures)::/

  def test_no_arrow_points_the_wrong_way
    wrong = ALLOWED.flat_map do |room, allowed|
      Dir.glob("#{room}/**/*.{rb,erb}", base: TestDatabase::ROOT).flat_map { |file| strangers(file) - allowed - [room.capitalize] }.uniq.map { |other| "#{room} → #{other}" }
    end

    assert_empty wrong
  end

  private

  def strangers(file)
    code = File.readlines(File.join(TestDatabase::ROOT, file)).map { |line| file.end_with?(".rb") ? line.sub(/(?<!["#])#(?!\{).*/, "") : line }.join
    code.scan(ROOMS).flatten.uniq
  end
end
