# frozen_string_literal: true

require "tempfile"
require "vips"
require_relative "../test_helper"

# What a file is, is told by its content. The camera's own notes are those of EXIF 2.3 (orientation 6: turned by a
# quarter; GPS latitude), read back with the library that wrote them and by looking for their signs in the bytes.
class PrepareTest < AppTest
  def noise(width, height)
    Vips::Image.gaussnoise(width, height, mean: 128, sigma: 40).cast(:uchar).bandjoin([128, 90])
  end

  def file(bytes, name = "picture.jpg")
    Tempfile.new([File.basename(name, ".*"), File.extname(name)]).tap { |temp| File.binwrite(temp.path, bytes) }
  end

  def prepare(bytes)
    Pictures::Prepare.new(file(bytes).path).call
  end

  def unfit(bytes)
    assert_raises(Pictures::Prepare::Unfit) { prepare(bytes) }.message
  end

  def with_location(image)
    image.mutate do |one|
      one.set_type! GObject::GSTR_TYPE, "exif-ifd3-GPSLatitude", "44/1 38/1 55/1"
      one.set_type! GObject::GSTR_TYPE, "exif-ifd0-Make", "Unheardof Optics"
      one.set_type! GObject::GINT_TYPE, "orientation", 6
    end
  end

  def test_location_and_notes_are_gone_and_the_picture_stands_upright
    bytes = with_location(noise(400, 300)).jpegsave_buffer
    made = prepare(bytes)

    assert_includes bytes, "Unheardof Optics"
    made.sizes.each_value do |kept|
      refute_includes kept, "Exif"
      refute_includes kept, "Unheardof"
      assert_empty Vips::Image.new_from_buffer(kept, "").get_fields.grep(/exif|gps/i)
    end
    assert_equal [300, 400], [made.width, made.height]
  end

  def test_large_ones_are_shrunk_and_small_ones_left
    made = prepare(noise(3000, 1000).jpegsave_buffer)
    thumb = Vips::Image.new_from_buffer(made.sizes.fetch(:small), "")

    assert_equal [2000, 667, 320], [made.width, made.height, thumb.width]
    assert_equal 40, prepare(noise(40, 30).pngsave_buffer).width
  end

  def test_what_is_no_picture_whatever_its_name
    assert_match(/no picture/, unfit("just some text, named .jpg\n" * 50))
    assert_match(/no picture/, unfit("<svg xmlns='http://www.w3.org/2000/svg'/>"))
    assert_match(/is empty/, unfit(""))
    assert_match(/damaged/, unfit(noise(300, 300).jpegsave_buffer[0, 900]))
    assert_match(/damaged|no picture/, unfit("\xFF\xD8\xFFnothing more".b))
  end

  def test_one_of_twenty_megabytes_is_taken_and_one_beyond_the_limit_is_not
    picture = noise(4000, 3000).jpegsave_buffer(Q: 90)
    padded = picture + ("\0" * ((20 * 1024 * 1024) - picture.bytesize))

    assert_operator prepare(padded).sizes.fetch(:full).bytesize, :<, 3 * 1024 * 1024
    assert_match(/26 MB; at most 25 MB/, unfit(picture + ("\0" * ((26 * 1024 * 1024) - picture.bytesize))))
  end

  def test_a_small_file_that_claims_to_be_enormous
    assert_match(/at most 52 million/, unfit(Vips::Image.black(20_000, 20_000).pngsave_buffer))
  end

  def test_the_store_writes_once_and_never_half
    Dir.mktmpdir do |folder|
      store = Pictures::Store.new(Pathname(folder))
      2.times { |round| store.put("ab#{'0' * 62}", :full, "round #{round}") }

      assert_equal "round 0", store.path("ab#{'0' * 62}", :full).binread
      assert_equal 1, Dir["#{folder}/**/*"].count { |path| File.file?(path) }
    end
  end

  # Eight at once take the processor one after the other, and the other requests of the process in between.
  def test_one_at_a_time
    inside = Queue.new
    most = 0
    watched = Class.new(Pictures::Prepare) do
      define_method(:shrunk) do |side|
        inside << 1
        most = [most, inside.size].max
        sleep 0.01
        super(side).tap { inside.pop }
      end
    end
    Tempfile.create(["a", ".png"]) do |file|
      noise(60, 40).pngsave(file.path)
      Array.new(8) { Thread.new { watched.new(file.path).call } }.each(&:join)
    end

    assert_equal 1, most
  end
end
