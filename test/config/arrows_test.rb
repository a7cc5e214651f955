# frozen_string_literal: true

require_relative "../test_helper"

# Dependencies point one way. Reads the names of rooms that each room's code mentions.
class ArrowsTest < AppTest
  # room => rooms it may lean on
  ALLOWED = {
    "core" => [], "english" => %w[Core], "drawings" => %w[Core], "papers" => %w[Core], "formats" => %w[Core],
    "models" => %w[Core Formats],
    "pictures" => %w[Core Config], "config" => %w[Core Demo Web], "outbox" => %w[Core Models Papers Formats Config],
    "queries" => %w[Core Models Services Outbox Formats Config],
    "services" => %w[Core English Models Queries Outbox Config Pictures Formats Papers],
    "web" => %w[Core Models Services Screens Formats Config],
    "screens" => %w[Core English Services Queries Drawings Papers Formats Outbox Config Web Pictures],
    "demo" => %w[Core English Models Services Outbox Config]
  }.freeze
  ROOM = /(?<![\w:])(?:::)?(?:UprightBench::)?(#{ALLOWED.keys.map(&:capitalize).join('|')})\b/
  DATABASE = /\b(?:DB|Sequel)\b|\w_dataset\b|\bdataset\b/
  READERS_OF_THE_DATABASE = %w[core english drawings papers formats screens pictures].freeze

  def test_no_arrow_points_the_wrong_way
    wrong = ALLOWED.flat_map do |room, allowed|
      files(room).flat_map { |file| rooms_in(code(file)) - allowed - [room.capitalize] }
        .uniq.map { |other| "#{room} → #{other}" }
    end

    assert_empty wrong
  end

  def test_every_room_is_asked
    assert_equal UprightBench::ROOMS.sort, ALLOWED.keys.sort
  end

  def test_only_some_rooms_know_the_database
    asking = READERS_OF_THE_DATABASE.flat_map { |room| files(room) }.select { |file| code(file).match?(DATABASE) }

    assert_empty asking
  end

  # The check itself: an arrow that is put in is seen, however it is written.
  def test_an_arrow_is_seen
    ["Models::Job.first", "::UprightBench::Models::Job", "UprightBench::Models::Job", "include Models",
     "x = [Models::Job]"].each do |line|
      assert_equal ["Models"], rooms_in(line), line
    end
    assert_equal ["Services"], rooms_in("Services::Models")
    assert_empty rooms_in(without_comments("call # Models::Job\n", "a.rb"))
    ["DB[:jobs]", "job.lines_dataset", "Sequel.lit", "job.dataset"].each { |line| assert_match DATABASE, line }
  end

  private

  def files(room)
    Dir.glob("#{room}/**/*.{rb,erb}", base: TestDatabase::ROOT)
  end

  def code(file)
    without_comments(File.read(File.join(TestDatabase::ROOT, file)), file)
  end

  def without_comments(text, file)
    return text unless file.end_with?(".rb")

    text.lines.map { |line| line.sub(/(?<!["#'\\])#(?!\{).*/, "") }.join
  end

  def rooms_in(code)
    code.scan(ROOM).flatten.uniq
  end
end
