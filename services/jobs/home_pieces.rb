# frozen_string_literal: true

module UprightBench
  module Services
    # New pieces of an opened box: what was left goes home with the customer when the job is closed up, and may be
    # brought along and fitted the next time.
    module HomePieces
      module_function

      # @param pieces [Array<Models::HomePiece>] that the customer may have
      # @param place [Core::Sheets::Position]
      # @param answer [Core::Fit::Answer] of that place
      # @return [Models::HomePiece, nil] that fits there
      def for(pieces, place, answer)
        fitting = answer.candidates.map { |candidate| candidate.part.id }
        pieces.find { |piece| piece.kind == place.kind.to_s && fitting.include?(piece.part_id) }
      end

      # @param item [Models::WorkItem] for which the customer brought one
      # @param on [Date]
      # @return [Models::HomePiece]
      # @raise [Refused] when none is known
      def of(job, item, on:)
        place = job.sheet.position(item.position)
        answer = FitFor.new(job.sheet, job.machine, today: on, job: job).call([place.key]).fetch(place.key)
        self.for(Models::HomePiece.there(job.machine_id, on: on).all, place, answer) ||
          raise(Refused, "Nothing of an opened box is known to be at home for #{place.name.downcase}.")
      end

      # @param items [Array<Models::WorkItem>] of the job, with their parts
      def give(job, items, on:)
        Boxes.left(job.sheet, items).each do |part, kind, pieces|
          Models::HomePiece.create(machine_id: job.machine_id, part_id: part.id, kind: kind, pieces: pieces,
            job_id: job.id, given_on: on)
        end
      end
    end
  end
end
