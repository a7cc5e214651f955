# frozen_string_literal: true

module UprightBench
  module Screens
    module Sheets
      # The text of a sheet as it was sent: a file, or pasted.
      module SheetUpload
        module_function

        # @return [String] UTF-8
        # @raise [Services::Invalid] when nothing was sent, or it is no text
        def text(params)
          file = params["file"]
          text = if file.is_a?(Hash) && file[:tempfile].respond_to?(:read)
                   file[:tempfile].read(Formats::SheetFile::MOST_BYTES + 1).to_s
                 else
                   params["pasted"].to_s
                 end
          text = text.dup.force_encoding(Encoding::UTF_8)
          raise Services::Invalid, { file: ["Choose a file, or paste its text."] } if text.strip.empty?
          unless text.valid_encoding? && !text.include?("\u0000")
            raise Services::Invalid, { file: ["The file is no text."] }
          end

          text
        rescue ArgumentError
          raise Services::Invalid, { file: ["The file is no text."] }
        end
      end
    end
  end
end
