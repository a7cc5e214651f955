# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Papers that may be long. A short one is made while somebody waits; of a long one the worker makes part after
    # part, each a file of its own that is kept as soon as it is there, and the page shows how far it is.
    class LongPaper
      MOST_PAGES_AT_ONCE = 20
      KEPT_DAYS = 2
      FIRST = "first" # of the arguments: the first free label of a sheet that was begun

      # kind => what makes it: `name`, `pages`, `parts`, and `paper(part)` from 0 on
      def self.kinds
        { "shelf_labels" => PrintedShelfLabels, "batch" => PrintedBatch, "tags" => PrintedTags, "dues" => PrintedDues,
          "plan" => PrintedPlan, "calls" => PrintedCalls }
      end

      # The queue's job: one part, and then the next.
      class Work < Que::Job
        def run(id)
          run = Models::PaperRun.with_pk!(id)
          return if run.finished_at

          LongPaper.make_part(run, at: Time.now)
          self.class.enqueue(id) unless run.finished_at
        rescue StandardError => e
          Config::Report.error(e, what: "paper")
          run&.update(failed: e.is_a?(Error) ? e.message : "It could not be made.", finished_at: Time.now)
        end
      end

      # @param arguments [Hash{String=>Object}] plain values, as the kind takes them, and FIRST
      # @return [#pages, #paper]
      # @raise [NotFound] when there is nothing to print
      def self.maker(kind, arguments)
        kinds.fetch(kind).new(**arguments.except(FIRST).transform_keys(&:to_sym)).tap do |maker|
          raise NotFound, "There is nothing to print." if maker.pages.zero?
        end
      end

      # @return [Models::PaperRun] the one that is under way already, or a new one
      def self.ask(kind, arguments, by:, at:)
        maker = maker(kind, arguments)
        of_whom = { kind: kind, arguments: Sequel.pg_jsonb(arguments), asked_by: by.id }
        DB.transaction do
          forget_old(at)
          id = Models::PaperRun.dataset.insert_conflict.insert(**of_whom, name: maker.name, pages: maker.pages,
            parts: maker.parts, asked_at: at)
          next Models::PaperRun.first!(**of_whom, finished_at: nil) unless id

          Work.enqueue(id)
          Models::PaperRun.with_pk!(id)
        end
      end

      # The next part of a run.
      def self.make_part(run, at:)
        part = run.parts_done
        before = run.pages_done
        first = run.arguments[FIRST] if part.zero? # each other file begins a new sheet
        pdf = maker(run.kind, run.arguments.to_hash).paper(part).make(**PaperLook.of(first: first)) do |page|
          run.update(pages_done: before + page) if (page % MOST_PAGES_AT_ONCE).zero?
        end
        keep_part(run, pdf, before, at)
      end

      def self.keep_part(run, pdf, pages_before, at)
        made = run.parts_done + 1
        DB.transaction do
          run.keep(made - 1, pdf.bytes)
          run.update(parts_done: made, pages_done: pages_before + pdf.pages, finished_at: (at if made == run.parts))
        end
      end
      private_class_method :keep_part

      def self.forget_old(at)
        old = Models::PaperRun.where { asked_at < at - (KEPT_DAYS * 86_400) }.select(:id)
        DB[:paper_pieces].where(paper_run_id: old).delete
        Models::PaperRun.where(id: old).delete
      end
      private_class_method :forget_old
    end
  end
end
