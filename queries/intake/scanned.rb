# frozen_string_literal: true

module UprightBench
  module Queries
    # What a scanned or typed code stands for: a tag (J1042, or its number), a filter label (M17), the code of a card
    # or of a tag's slip, a part's number or barcode.
    class Scanned
      # @param text [String]
      # @param today [Date]
      def initialize(text, today:)
        @text = text
        @today = today
      end

      # @return [Array(Symbol, Integer), nil] :job and its number; :machine, :card or :part and its id
      def call
        job || machine || card || slip || part
      end

      private

      def job
        number = @text[/\A[jJ]?(\d{3,18})\z/, 1]&.to_i
        [:job, number] if number && !Models::Job.where(number: number).empty?
      end

      def machine
        id = @text[/\A[mM](\d{1,18})\z/, 1]&.to_i
        [:machine, id] if id && !Models::Machine.where(id: id).empty?
      end

      def card
        code = @text[%r{(?:\A|/c/)([0-9a-zA-Z-]{26,32})\z}, 1]
        [:card, Outbox::Letters.codes.read(code, today: @today)] if code
      rescue Formats::SignedCode::NotOurs
        nil
      end

      def slip
        code = @text[%r{(?:\A|/j/)([0-9a-zA-Z-]{26,32})\z}, 1]
        job = code && Models::Job.with_pk(Outbox::JobLink.read(code, today: @today))
        [:job, job.number] if job
      rescue Formats::SignedCode::NotOurs
        nil
      end

      def part
        return unless @text.length.between?(3, 40)

        found = Models::Part.where(number: @text.upcase).or(barcode: @text).first
        [:part, found.id] if found
      end
    end
  end
end
