# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../../launch/cluster"
require_relative "../../launch/restart"
require_relative "../../launch/welcome"

# A database that ended is started again until it is there; and what a start says at its end.
class RestartTest < AppTest
  def test_it_is_tried_until_it_is_there
    tries = 0
    cluster = Object.new
    cluster.define_singleton_method(:go_on) { (tries += 1) < 4 ? raise(Launch::Failure, "its disk is full") : nil }
    said, = capture_io { Launch::Restart.of(cluster, pause: 0.01) }

    assert_equal 4, tries
    assert_equal ["The database ended by itself and is started again.",
                  "its disk is full. It is tried again in 0.01 s.", "its disk is full. It is tried again in 0.02 s.",
                  "its disk is full. It is tried again in 0.04 s."], said.lines(chomp: true)
  end

  # An empty shop in the place of one whose disk is not there would be worse than none.
  def test_no_new_database_takes_the_place_of_one_that_is_gone
    Dir.mktmpdir("ub", "/var/tmp") do |folder|
      cluster = Launch::Cluster.new(folder: File.join(folder, "pg"))

      assert_match(/data is gone from/, assert_raises(Launch::Failure) { cluster.go_on }.message)
      refute_path_exists cluster.data
    end
  end

  def test_where_to_look_first_is_said_where_there_is_a_demo
    Dir.mktmpdir do |folder|
      words = -> { Launch::Welcome.words(port: "4610", folder: folder, own: false) }

      refute_includes words.call, "Look first"
      File.write(File.join(folder, "tour.json"), JSON.generate("the bench" => "/", "a card" => "/c/x"))

      assert_includes words.call, "Look first at\n  the bench: http://127.0.0.1:4610/\n  a card: http://127.0.0.1:4610/c/x\n"
      refute_includes Launch::Welcome.words(port: "4610", folder: folder, own: true), "Look first"
    end
  end
end
