# frozen_string_literal: true

module UprightBench
  module Services
    # Finds customers and machines as somebody types: parts of a name in any order (accents forgiven, small typing
    # errors too when nothing else is found), the last digits of a phone, a serial number, a
    # number from before; or scans a tag (J1042) or a
    # filter label (M17).
    class FindCustomers
      MOST = 12
      FEWEST_LETTERS = 2
      INDEXED_LETTERS = 3 # fewer stand at the beginning of a word, or an index could not help
      FEWEST_TO_FORGIVE = 4
      MOST_TO_RANK = 200 # of those that match, so many are put in order; whoever matches too many types on

      # One machine of a customer, or a customer without machines (machine_id nil).
      Hit = Struct.new(:customer_id, :name, :phone, :town, :fleet, :machine_id, :title, :serial_number, :job_number,
        keyword_init: true)

      # @param text [String]
      # @return [Array<Hit>] the closest first
      def self.call(text)
        new(text.to_s.strip).call
      end

      def initialize(text)
        @text = text
        @digits = text.gsub(/\D/, "")
      end

      def call
        return [] if @text.length < FEWEST_LETTERS

        found = hits([*matching_customers, owners_of_machines])
        found.empty? && @text.count("^0-9").between?(FEWEST_TO_FORGIVE, 60) ? hits([alike]) : found
      end

      # @return [Integer, nil] the one machine that is meant, when there is no doubt
      def self.only_machine(text)
        machines = call(text).filter_map(&:machine_id)
        machines.first if machines.one?
      end

      private

      def hits(matching) # rubocop:disable Metrics/AbcSize -- one query
        near = matching.map(&:from_self).reduce { |all, ids| all.union(ids, from_self: false) }
        customers = Models::Customer.where(id: near).order(*closest_name).limit(MOST)
        rows = customers.from_self(alias: :c).left_join(:machines, { customer_id: :id }, table_alias: :m)
          .left_join(:sheets, { id: Sequel[:m][:sheet_id] }, table_alias: :s)
          .left_join(Models::Job.in_shop.select(:number, :machine_id), { machine_id: Sequel[:m][:id] },
            table_alias: :j)
        closest(rows.select(*columns).limit(MOST * 4).all).first(MOST)
      end

      # Each by an index of its own, and each cut off by itself.
      # @return [Array<Sequel::Dataset>] ids of customers
      def matching_customers
        named = Models::Customer.where(Sequel.&(*@text.split.first(6).map { |word| contains(:name, word) }))
        numbered = Models::Customer.where(Sequel.function(:upper, :former_number) => @text.upcase)
        [named, called, numbered].compact.map { |found| found.select(:id).limit(MOST_TO_RANK) }
      end

      # @return [Sequel::Dataset, nil] nil when no phone is meant
      def called
        return unless @digits.length >= INDEXED_LETTERS && @text.count("A-Za-z").zero?

        asked = Formats::PhoneNumber.looked_for(@digits).map { |digits| Sequel.like(:phone_digits, "%#{digits}%") }
        Models::Customer.where(Sequel.|(*asked))
      end

      def closest_name
        [Sequel.function(:word_similarity, plain(@text), plain(:name)).desc, :name]
      end

      # Names that differ by a letter or two; how near they must be is set when a connection opens.
      def alike
        Models::Customer.where(Sequel.lit("? <% ?", plain(@text), plain(:name))).order(*closest_name).select(:id)
          .limit(MOST)
      end

      def owners_of_machines
        machines = Models::Machine.where(contains(:serial_number, @text))
        (scanned ? machines.or(id: scanned) : machines).select(:customer_id).limit(MOST_TO_RANK)
      end

      # @return [Integer, nil] the machine that a tag or a label names
      def scanned
        @scanned ||= case @text
                     when /\Aj(\d{1,18})\z/i then Models::Job.where(number: Regexp.last_match(1).to_i).get(:machine_id)
                     when /\Am(\d{1,18})\z/i then Regexp.last_match(1).to_i
                     end
      end

      def contains(column, words)
        text = plain(Models::Customer.dataset.escape_like(words))
        return plain(column).like(Sequel.join(["%", text, "%"])) if words.length >= INDEXED_LETTERS

        plain(column).like(Sequel.join([text, "%"])) | plain(column).like(Sequel.join(["% ", text, "%"]))
      end

      def plain(value)
        Sequel.function(:plain_text, value)
      end

      def columns
        [Sequel[:c][:id].as(:customer_id), :name, :phone, :town, :fleet, Sequel[:m][:id].as(:machine_id),
         Sequel.join([Sequel[:s][:maker], Sequel[:s][:model_name]], " ").as(:title), :serial_number,
         Sequel[:j][:number].as(:job_number)]
      end

      # A typed serial number, or a scan, brings its own machine to the top.
      def closest(rows)
        hits = rows.map { |row| Hit.new(**row.values) }
        hits.sort_by.with_index { |hit, index| [meant?(hit) ? 0 : 1, index] }
      end

      def meant?(hit)
        hit.serial_number.to_s.upcase.include?(@text.upcase) || (!scanned.nil? && hit.machine_id == scanned) ||
          last_digits?(hit)
      end

      def last_digits?(hit)
        kept = hit.phone.to_s.gsub(/\D/, "")
        @digits.length >= INDEXED_LETTERS && Formats::PhoneNumber.looked_for(@digits).any? { |last| kept.end_with?(last) }
      end
    end
  end
end
