# frozen_string_literal: true

module UprightBench
  module Services
    # Who is on file already, of those that a file names, and who is new in it.
    class CustomerBook
      # Nobody can tell whether it is somebody who is on file; the message says who.
      class Unclear < StandardError; end

      # @!attribute id [Integer, nil] nil while it is new
      # @!attribute fields [Hash] columns
      # @!attribute missing [Hash] columns that stand in the file and not on file
      Entry = Struct.new(:id, :fields, :missing, :agreed_on, :fresh, :identity, keyword_init: true)

      # @param asked [Array<Hash>] columns of customers
      def initialize(asked)
        @country = ShopOnFile.call.country # whoever was on file before phones had one form may have another
        @by_name = Hash.new { |hash, key| hash[key] = [] }
        @by_number = {}
        on_file(asked).each { |row| keep(entry(row, id: row[:id])) }
        @fresh = []
      end

      # @return [Array<Entry>] who is new, in the order of the file
      attr_reader :fresh

      # @return [Array<Entry>] who was on file, with something that was not
      def filled
        @by_name.values.flatten.reject { |entry| entry.fresh || entry.missing.empty? }
      end

      # @param fields [Hash] columns
      # @return [Entry]
      # @raise [Unclear]
      def find_or_add(fields, agreed_on)
        known = numbered(fields) || same(fields)
        return known.tap { |entry| complete(entry, fields) } if known

        raise Unclear, "No customer has the number #{fields[:former_number]}." unless fields[:name]

        entry(fields, fresh: true, agreed_on: agreed_on).tap do |made|
          keep(made)
          @fresh << made
        end
      end

      private

      # By whatever could make them the same; the core says which are.
      def on_file(asked) # rubocop:disable Metrics/AbcSize -- one query
        numbers, names, phones, emails = %i[former_number name phone email].map do |column|
          asked.filter_map { |fields| fields[column] }.uniq
        end
        plain = names.map { |name| Sequel.function(:plain_text, name) }
        Models::Customer.naked.where(forgotten_on: nil).where(Sequel.|(
          { Sequel.function(:plain_text, :name) => plain }, { phone: phones },
          { Sequel.function(:lower, :email) => emails.map(&:downcase) },
          { Sequel.function(:upper, :former_number) => numbers.map(&:upcase) }
        )).select(:id, :name, :fleet, *WriteCustomers::FILLED).order(:id).all
      end

      def entry(fields, id: nil, fresh: false, agreed_on: nil)
        Entry.new(id: id, fields: fields, missing: {}, fresh: fresh, agreed_on: agreed_on,
          identity: identity(fields))
      end

      def identity(fields)
        place = [fields[:street], fields[:town]].compact.join(" ")
        Core::Customers::Identity.new(name: fields[:name].to_s, phone: Phone.kept(fields, @country)[:phone],
          email: fields[:email], place: fields[:street] && place)
      end

      def keep(entry)
        @by_name[entry.identity.key] << entry
        number = entry.fields[:former_number]
        @by_number[number.upcase] ||= entry if number
      end

      # The list's own number says it, whatever the name.
      def numbered(fields)
        number = fields[:former_number]
        number && @by_number[number.upcase]
      end

      def same(fields)
        return unless fields[:name]

        asked = identity(fields)
        others = @by_name[asked.key].reject { |entry| another_number?(entry, fields) }
        found = others.find { |entry| asked.compare(entry.identity) == :same }
        return found if found

        unclear = others.find { |entry| asked.compare(entry.identity) == :unclear } or return
        raise Unclear, "#{unclear.fields[:name]} is #{unclear.fresh ? 'further up' : 'on file'} already, and nothing " \
                       "tells whether it is the same: give a phone, an e-mail address or a street."
      end

      # Two numbers of one list are two customers.
      def another_number?(entry, fields)
        theirs = entry.fields[:former_number]
        ours = fields[:former_number]
        theirs && ours && !theirs.casecmp?(ours)
      end

      # What stands on file stays.
      def complete(entry, fields)
        WriteCustomers::FILLED.each do |column|
          next if fields[column].nil? || entry.fields[column]

          entry.fields = entry.fields.merge(column => fields[column])
          entry.missing = entry.missing.merge(column => fields[column]) unless entry.fresh
        end
      end
    end
  end
end
