# frozen_string_literal: true

require "que"
require "tempfile"

module UprightBench
  module Services
    # Reads a list of parts that was kept, and writes beside it what it would change; nothing of the shelf is changed
    # here.
    class ReadPartList
      MOST_SHOWN = 200
      LONGEST_LINE = 64 * 1024 # bytes

      # The queue's job.
      class Work < Que::Job
        def run(id)
          ReadPartList.call(Models::PartImport.with_pk!(id))
        end
      end

      # @param import [Models::PartImport]
      # @return [Models::PartImport] read, or bad
      def self.call(import)
        list = nil
        changes = PartChanges.new(rows(import) { |read| list = read }, fresh: import.fresh)
        keep(import, state: "read", reading: Sequel.pg_jsonb(told(changes)),
          told: Sequel.pg_array(list.told, :text), headers: Sequel.pg_array(list.aside, :text),
          problems: Sequel.pg_array(changes.problems.first(MOST_SHOWN), :text))
      rescue Formats::Unmapped => e
        keep(import, state: "to_map", headers: Sequel.pg_array(e.headers, :text))
      rescue Formats::Malformed => e
        keep(import, state: "bad", problems: Sequel.pg_array(e.problems, :text))
      end

      # As it will be read again, by whatever process.
      def self.keep(import, **fields)
        import.update(**fields) # nil when nothing changes
        import.refresh
      end

      # @yieldparam list [Formats::PartList] that was read, with what it left out
      # @return [Array<Hash>] as Formats::PartList reads them
      # @raise [Formats::Malformed]
      def self.rows(import)
        Tempfile.create("part-list", encoding: "UTF-8") do |file|
          copy(import, file)
          file.rewind
          list = Formats::PartList.new(file, columns: import.meanings.to_hash, fixed: fixed(import),
            currency: Policies.now.currency)
          list.call.tap { yield list if block_given? }
        end
      end

      # What all lines of a supplier's list have in common.
      def self.fixed(import)
        { "supplier" => import.supplier&.name }.compact
      end

      # Line by line, each as text that can be read; never the whole of it in memory.
      def self.copy(import, file)
        rest = "".b
        number = 0
        import.each_piece do |piece|
          *lines, rest = (rest + piece).split("\n", -1)
          lines.each { |line| write(file, "#{line}\n", number += 1) }
          refuse_long(rest, number + 1)
        end
        write(file, rest, number + 1)
      end

      def self.write(file, line, number)
        refuse_long(line, number)
        text = Formats::ListText.of(line)
        file.write(number == 1 ? text.delete_prefix("\uFEFF") : text)
      end

      def self.refuse_long(line, number)
        return unless line.bytesize > LONGEST_LINE

        raise Formats::Malformed, ["Line #{number}: it is longer than #{LONGEST_LINE / 1024} kB."]
      end

      def self.told(changes)
        fresh, other = changes.changes.partition(&:new?)
        { new: fresh.size, changed: other.size, same: changes.same, problems: changes.problems.size,
          new_suppliers: changes.new_suppliers.first(MOST_SHOWN), digest: changes.digest,
          shown: changes.changes.first(MOST_SHOWN).map { |change| told_of(change) } }
      end

      def self.told_of(change)
        { line: change.line, number: change.number, name: change.part&.name || change.fields.dig(:name, 1),
          new: change.new?, fields: change.fields }
      end
      private_class_method :keep, :copy, :write, :refuse_long, :told, :fixed
    end
  end
end
