# frozen_string_literal: true

module UprightBench
  module Services
    # Keeps pictures of a job or of a note. The files are written before the rows that name them, so that no row ever
    # names a file that is not there; the same picture twice is kept once.
    class AddPictures
      MOST = 40 # a job
      MOST_AT_ONCE = 12 # a form; each takes up to half a second

      # @param files [Array<Hash>] as a multipart form gives them, :filename and :tempfile
      # @return [Array<Pictures::Prepare::Prepared>]
      # @raise [Invalid] naming each file that is no picture; when there are too many
      def self.prepare(files)
        if files.size > MOST_AT_ONCE
          raise Invalid, { pictures: ["At most #{MOST_AT_ONCE} pictures at once; send the others after them."] }
        end

        wrong = []
        made = files.filter_map do |file|
          Pictures::Prepare.new(file.fetch(:tempfile).path).call
        rescue Pictures::Prepare::Unfit => e
          wrong << "#{file[:filename].to_s[0, 80]} #{e.message}."
          nil
        end
        raise Invalid, { pictures: wrong } if wrong.any?

        made
      end

      # @param prepared [Array<Pictures::Prepare::Prepared>]
      # @return [Array<Integer>] ids of what was new
      # @raise [Refused] when the job has too many, or there is no room for them
      # @param step [String, nil] the step of opening that they were taken at
      def self.call(number, prepared, by:, at:, step: nil)
        keep_files(prepared)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          if Models::Picture.where(job_id: job.id).count + prepared.size > MOST
            raise Refused, "A job keeps at most #{MOST} pictures."
          end

          of = { job_id: job.id, state: job.state, step: step&.then { |key| key if job.sheet.step?(key) } }
          prepared.filter_map { |picture| keep(job, picture, of, by, at) }
        end
      end

      # @param note [Models::Note] that was just written
      # @return [void]
      # @raise [Refused] when there is no room for them
      def self.of_note(note, prepared, by:, at:)
        keep_files(prepared)
        prepared.each { |picture| write(picture, { note_id: note.id }, by, at) }
      end

      def self.keep_files(prepared)
        store = Pictures::Store.ours
        prepared.each { |picture| picture.sizes.each { |size, bytes| store.put(picture.digest, size, bytes) } }
      rescue SystemCallError => e
        Config::Report.error(e, what: "pictures")
        raise Refused, "The pictures could not be kept: the disk is full or cannot be written to. Tell the owner; " \
                       "everything else goes on."
      end

      def self.keep(job, picture, of, by, at)
        id = write(picture, of, by, at)
        History.note("added picture", job, by: by, at: at, job: job, data: { picture: id }) if id
        id
      end

      # @return [Integer, nil] nil when it was there
      def self.write(picture, of, by, at)
        Models::Picture.dataset.insert_conflict(target: [of.keys.first, :digest]).insert(digest: picture.digest,
          width: picture.width, height: picture.height, added_by: by.id, added_at: at, **of)
      end
      private_class_method :keep, :keep_files, :write
    end
  end
end
