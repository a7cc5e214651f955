# frozen_string_literal: true

module UprightBench
  module Services
    # The machine leaves the shop, with everything that came with it; its bill is made, and paid or owed.
    class HandOver
      # @param counted_out [Hash{String=>Integer}] accessories given back, name => pieces
      # @param missing_note [String, nil] where the rest is
      # @param way [String] of Core::Money::Ways::CHOICES
      # @raise [Refused] before it is closed up, declined or referred
      # @raise [Invalid] naming what is missing, while nobody says where it is
      def self.call(number, by:, at:, counted_out: {}, missing_note: nil, way: Core::Money::Ways::ON_ACCOUNT)
        EnterState.call(number, :handed_over, by: by, at: at) do |job|
          note = missing_note.to_s.strip
          missing = count_out(job, counted_out)
          if missing.any? && note.empty?
            raise Invalid, { missing_note: [
              "Missing: #{Core::Intake::Accessories.words(missing)}. Give it back, or write where it is."
            ] }
          end

          bill(job, way, by, at)
          Models::Notice.where(job_id: job.id, state: %w[waiting to_call]).update(state: "withdrawn")
          { handed_over_at: at, missing_note: (note if missing.any?) }
        end
      end

      # @param job [Models::Job] locked
      def self.bill(job, way, by, at)
        bill = MakeBill.of_job(job, by: by, at: at)
        owed = Balance.of_job(job)
        unless way == Core::Money::Ways::ON_ACCOUNT || owed.zero?
          TakePayment.call(of: job, way: way, cents: owed, by: by, at: at)
        end
        MailBill.if_agreed(bill, by: by, at: at)
      end

      # @return [Hash{String=>Integer}] what does not go back
      def self.count_out(job, counted_out)
        fitted = Brought.fitted(job)
        came = job.accessories.to_h do |accessory|
          [accessory.name, accessory.pieces_in - fitted.fetch(accessory.id, 0)]
        end
        job.accessories.each do |accessory|
          accessory.update(pieces_out: counted_out.fetch(accessory.name, 0).clamp(0, accessory.pieces_in))
        end
        Core::Intake::Accessories.new(came).missing(counted_out)
      end
      private_class_method :count_out, :bill
    end
  end
end
