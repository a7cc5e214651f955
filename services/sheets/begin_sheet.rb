# frozen_string_literal: true

module UprightBench
  module Services
    # A rough sheet for a model that nobody has on file, so that its machine can be taken in now and the sheet completed
    # later. A model that is on file keeps its own sheet.
    class BeginSheet
      # @param kind [Symbol] the nearest of Core::Sheets::Sheet::KINDS
      # @param seen [Hash] dust, power and roll, as Core::Sheets::Starter takes them
      # @return [Models::Sheet]
      def self.call(maker:, model:, kind:, by:, at:, **seen)
        content = { kind: kind, maker: maker, model: model, **seen }
        keep(maker: maker, model: model, content: Core::Sheets::Starter.content(**content), by: by, at: at,
          note: "begun at the counter")
      end

      # @param content [Hash] of its sheet, if it is not on file
      # @return [Models::Sheet]
      def self.keep(maker:, model:, content:, by:, at:, note:)
        DB.transaction do
          # Several machines of one unknown model at once get one sheet
          OneAtATime.wait("rough sheet", DB.get(plain("#{maker} #{model}")))
          known(maker, model) || AddSheet.call(content, by: by, at: at, note: note)
        end
      end

      def self.known(maker, model)
        Models::Sheet.first(plain(:maker) => plain(maker), plain(:model_name) => plain(model))
      end

      def self.plain(text)
        Sequel.function(:plain_text, text)
      end
      private_class_method :known, :plain
    end
  end
end
