# frozen_string_literal: true

require "digest"
require "vips"

module UprightBench
  module Pictures
    # From what a phone sends to what the shop keeps: turned upright, shrunk, without location or anything else that
    # was written into it, in two sizes. What a file is, is told by its content, never by its name.
    class Prepare
      # A file that is no picture, or one too large.
      class Unfit < Core::Error; end

      # What is kept: the name it is kept under, and size => JPEG bytes.
      Prepared = Struct.new(:digest, :width, :height, :sizes, keyword_init: true)

      BIGGEST_BYTES = 25 * 1024 * 1024
      # A phone's largest usual picture has 50 million; what claims more is there to fill memory and time.
      MOST_PIXELS = 52_000_000
      SIDES = { full: 2000, small: 320 }.freeze # longer side in pixels
      QUALITY = 82
      SIGNS = { "\xFF\xD8\xFF".b => "JPEG", "\x89PNG\r\n\x1A\n".b => "PNG" }.freeze

      Vips.block_untrusted(true) # only readers that are hardened against strangers' files
      Vips.cache_set_max(0)      # no picture is read twice
      ONE_AT_A_TIME = Mutex.new  # in each process: several at once would take the processor from everybody else

      # @param path [String] of the file as it came
      def initialize(path)
        @path = path
      end

      # @return [Prepared]
      # @raise [Unfit] with a sentence for whoever sent it
      def call
        look_at_the_file
        look_inside
        ONE_AT_A_TIME.synchronize { prepare }
      rescue Vips::Error
        raise Unfit, "is damaged: it could not be read as a picture"
      end

      private

      def prepare
        sizes = SIDES.to_h { |size, side| [size, shrunk(side)] }
        small = Vips::Image.new_from_buffer(sizes.fetch(:full), "")
        Prepared.new(digest: Digest::SHA256.hexdigest(sizes.fetch(:full)), width: small.width, height: small.height,
          sizes: sizes)
      end

      def look_at_the_file
        size = File.size(@path)
        raise Unfit, "is empty" if size.zero?
        raise Unfit, "is #{size / 1024 / 1024} MB; at most #{BIGGEST_BYTES / 1024 / 1024} MB" if size > BIGGEST_BYTES
        raise Unfit, "is no picture: a JPEG, PNG or WebP is wanted" unless picture?
      end

      def picture?
        head = File.binread(@path, 16)
        SIGNS.keys.any? { |sign| head.start_with?(sign) } || (head.start_with?("RIFF") && head[8, 4] == "WEBP")
      end

      def look_inside
        image = Vips::Image.new_from_file(@path, access: :sequential)
        return unless image.width * image.height > MOST_PIXELS

        raise Unfit, "has #{image.width} × #{image.height} points, more than can be taken: at most " \
                     "#{MOST_PIXELS / 1_000_000} million"
      end

      # Reads no more than it needs, turns by the camera's note, and writes nothing but the picture.
      def shrunk(side)
        image = Vips::Image.thumbnail(@path, side, height: side, size: :down, fail_on: :error)
        image = image.flatten(background: 255) if image.has_alpha?
        image.colourspace(:srgb).jpegsave_buffer(Q: QUALITY, strip: true, interlace: true)
      end
    end
  end
end
