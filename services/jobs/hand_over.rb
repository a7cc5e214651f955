# frozen_string_literal: true

module UprightBench
  module Services
    # The machine leaves the shop, with everything that came with it.
    class HandOver
      # @param counted_out [Hash{String=>Integer}] accessories given back, name => pieces
      # @param missing_note [String, nil] where the rest is
      # @raise [Refused] before it is closed up, declined or referred
      # @raise [Invalid] naming what is missing, while nobody says where it is
      def self.call(number, by:, at:, counted_out: {}, missing_note: nil)
        EnterState.call(number, :handed_over, by: by, at: at) do |job|
          note = missing_note.to_s.strip
          missing = count_out(job, counted_out)
          if missing.any? && note.empty?
            raise Invalid, { missing_note: [
              "Missing: #{Core::Intake::Accessories.words(missing)}. Give it back, or write where it is."
            ] }
          end

          { handed_over_at: at, missing_note: (note if missing.any?) }
        end
      end

      # @return [Hash{String=>Integer}] what does not go back
      def self.count_out(job, counted_out)
        came = job.accessories.to_h { |accessory| [accessory.name, accessory.pieces_in] }
        job.accessories.each do |accessory|
          accessory.update(pieces_out: counted_out.fetch(accessory.name, 0).clamp(0, accessory.pieces_in))
        end
        Core::Intake::Accessories.new(came).missing(counted_out)
      end
      private_class_method :count_out
    end
  end
end
