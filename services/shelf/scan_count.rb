# frozen_string_literal: true

module UprightBench
  module Services
    # Counts the shelf with a scanner: each scan is a piece of its part, a number typed is all of them. What should
    # have lain there is kept as it was when it was counted, so that what is taken or received meanwhile stays taken
    # and received.
    class ScanCount
      MOST = 99_999

      # The one under way, or a new one.
      # @return [Models::Count]
      def self.begin(by:, at:)
        Permissions.check!(:stock, by)
        DB.transaction do
          Models::Count.dataset.insert_conflict.insert(begun_by: by.id, begun_at: at)
          Models::Count.under_way
        end
      end

      # @param code [String] a barcode, or a part's number
      # @param pieces [Integer, nil] all that lie there; nil adds the one that was scanned
      # @return [Models::CountLine]
      # @raise [Refused] when no count is under way
      # @raise [Invalid] when the code is no part's, or was misread
      def self.scan(code, by:, at:, pieces: nil)
        Permissions.check!(:stock, by)
        part = part_of(code.to_s.strip)
        raise Invalid, { pieces: ["must be 0 to #{MOST}"] } if pieces && !pieces.between?(0, MOST)

        DB.transaction do
          line = line_of(part)
          level = level_of(part.id)
          line.set(pieces: pieces || (moved_on(line, level) + 1), level_pieces: level, counted_by: by.id,
            counted_at: at)
          line.save
        end
      end

      # @return [Models::CountLine] of the count that is under way, new where nobody counted the part yet
      def self.line_of(part)
        count = Models::Count.where(closed_at: nil).for_update.first ||
                raise(Refused, "No count is under way: begin one.")
        which = { count_id: count.id, part_id: part.id }
        Models::CountLine.first(which) || Models::CountLine.new(pieces: 0, **which)
      end

      # @return [Integer] pieces that should lie there; the level is locked
      def self.level_of(part_id)
        Models::StockLevel.where(part_id: part_id).for_update.get(:pieces) || 0
      end
      private_class_method :line_of, :level_of

      # What was scanned of a part before something of it moved has moved with it.
      def self.moved_on(line, level)
        line.new? ? 0 : [line.pieces + level - line.level_pieces, 0].max
      end
      private_class_method :moved_on

      # @return [Models::Part]
      # @raise [Invalid]
      def self.part_of(code)
        if code.match?(Core::Shelf::Ean13::DIGITS) && !Core::Shelf::Ean13.valid?(code)
          raise Invalid, { code: ["The check digit is wrong: scan it again."] }
        end

        Lookup.part_scanned(code) || raise(Invalid, { code: ["No part on file has the code #{code[0, 40]}."] })
      end

      # @param written [Boolean] false drops it: nothing on the shelf changes
      # @return [Models::Count, nil] nil when there is none under way
      def self.close(written:, by:, at:)
        Permissions.check!(:stock, by)
        DB.transaction do
          count = Models::Count.where(closed_at: nil).for_update.first
          next unless count

          write(count, by, at) if written
          count.update(closed_by: by.id, closed_at: at, written: written)
          History.note(written ? "counted the shelf" : "dropped a count", count, by: by, at: at,
            data: { parts: count.lines_dataset.count })
          count
        end
      end

      # In the order of the parts' ids, as everybody who moves several parts does.
      def self.write(count, by, at)
        begun = Core::Units::Day.words(Config::Zone.date(count.begun_at))
        count.lines_dataset.order(:part_id).eager(:part).all.each do |line|
          difference = [line.difference, -level_of(line.part_id)].max # no fewer than none, whatever was taken since
          next if difference.zero?

          reason = "count of #{begun}: #{line.pieces} lay there, #{line.level_pieces} should"
          MoveStock.call(line.part, pieces: difference, kind: "counted", reason: reason, by: by, at: at)
        end
      end
      private_class_method :write
    end
  end
end
