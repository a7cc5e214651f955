# frozen_string_literal: true

require_relative "../test_helper"

# A disk that is full or cannot be written to.
class StorageTest < DatabaseTest
  def folder
    Dir.mktmpdir("storage") { |path| yield Pathname(path) }
  end

  def names(path)
    path.children.map { |one| one.basename.to_s }
  end

  def test_a_file_is_there_whole_and_for_nobody_else
    folder do |path|
      Config::Storage.write(path.join("a/b.txt"), "whole")

      assert_equal %w[whole 100600], [path.join("a/b.txt").read, path.join("a/b.txt").stat.mode.to_s(8)]
      assert_equal ["b.txt"], names(path.join("a"))
    end
  end

  # The file system of a process of its own lets no file grow beyond a page (RLIMIT_FSIZE), as a full disk does.
  def test_what_does_not_fit_leaves_nothing_behind
    folder do |path|
      path.join("x").write("x")
      code = <<~RUBY
        require "pathname"
        module UprightBench; module Config; end; end
        require #{File.join(TestDatabase::ROOT, 'config/storage').inspect}
        trap("XFSZ", "IGNORE")
        Process.setrlimit(:FSIZE, 4096)
        begin
          UprightBench::Config::Storage.write(Pathname(ARGV[0]).join("b.jpg"), "y" * 100_000)
        rescue SystemCallError => e
          print e.class
        end
      RUBY

      assert_equal "Errno::EFBIG", IO.popen(["ruby", "-e", code, path.to_s], &:read)
      assert_equal ["x"], names(path)
    end
  end

  def test_whether_it_can_be_written_to_is_tried
    folder do |path|
      assert Config::Storage.writable?(path)
      assert_empty path.children
    end
    refute Config::Storage.writable?(Pathname("/proc/1/nowhere")), "a file system that takes no files, whoever asks"
    refute Config::Storage.writable?(Pathname("/dev/null/there"))
  end

  # No row names a file that is not there.
  def test_pictures_that_find_no_room_say_so
    store = Object.new
    store.define_singleton_method(:put) { |*| raise Errno::ENOSPC }
    prepared = [Pictures::Prepare::Prepared.new(digest: "a" * 64, width: 1, height: 1,
      sizes: { full: "x", small: "x" })]
    job = take_in
    said = nil
    capture_io do
      said = Pictures::Store.stub(:ours,
        store) do
        assert_raises(Services::Refused) do
          Services::AddPictures.call(job.number, prepared, by: owner,
            at: NOW)
        end
      end
    end

    assert_match(/disk is full/, said.message)
    assert_equal 0, Models::Picture.where(job_id: job.id).count
  end
end
