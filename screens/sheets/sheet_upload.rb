# frozen_string_literal: true

module UprightBench
  module Screens
    module Sheets
      # The text of a sheet as it was sent: a file, or pasted.
      module SheetUpload
        NO_TEXT = "The file is no text."

        module_function

        # @return [String] UTF-8
        # @raise [Services::Invalid] when nothing was sent, or it is no text
        def text(params)
          text = sent(params).dup.force_encoding(Encoding::UTF_8)
          raise Services::Invalid, { file: ["Choose a file, or paste its text."] } if text.strip.empty?
          raise Services::Invalid, { file: [NO_TEXT] } unless text.valid_encoding? && !text.include?("\u0000")

          text
        rescue ArgumentError
          raise Services::Invalid, { file: [NO_TEXT] }
        end

        def sent(params)
          file = params["file"]
          return params["pasted"].to_s unless file.is_a?(Hash) && file[:tempfile].respond_to?(:read)

          file[:tempfile].read(Formats::SheetFile::MOST_BYTES + 1).to_s
        end
        private_class_method :sent
      end
    end
  end
end
