# frozen_string_literal: true

require_relative "../test_helper"

# The owner of a shop of one's own hears when a day's work could be lost.
class BackupsTest < AppTest
  def in_folder(own: true)
    Dir.mktmpdir do |folder|
      File.write(File.join(folder, "keys.json"), "{}") if own
      yield Config::Settings.new({ "STATE_DIR" => folder }), File.join(folder, "backup.last")
    end
  end

  def missing?(settings)
    Services::Backups.missing?(at: NOW, settings: settings)
  end

  def test_none_one_of_today_and_one_that_is_too_old
    in_folder do |settings, file|
      assert missing?(settings)
      File.write(file, JSON.generate(at: (NOW - 3600).iso8601, path: "/mnt/x.ubb", kilobytes: 12))

      refute missing?(settings)
      assert_equal ["/mnt/x.ubb", 12], Services::Backups.last(settings).to_a.last(2)
      File.write(file, JSON.generate(at: (NOW - 90_000).iso8601, path: "/mnt/x.ubb", kilobytes: 12))

      assert missing?(settings)
      File.write(file, "half a li")

      assert missing?(settings)
    end
  end

  def test_the_demo_needs_none
    in_folder(own: false) { |settings, _| refute missing?(settings) }
  end
end
