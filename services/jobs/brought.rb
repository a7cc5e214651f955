# frozen_string_literal: true

module UprightBench
  module Services
    # What the customer brought along to be fitted, among the accessories that came in: "3 bags" for a bag.
    module Brought
      Left = Struct.new(:id, :name, :left)

      module_function

      # @param accessories [Array<Models::Accessory>] of a job
      # @param place [Core::Sheets::Position]
      # @return [Models::Accessory, nil] the one that is meant for such a place
      def among(accessories, place)
        kind = place.kind.to_s.tr("_", " ")
        accessories.find { |accessory| accessory.name.downcase.include?(kind) }
      end

      # @param except [Models::WorkItem, nil] that is chosen for now
      # @return [Left, nil] nil where nothing of that kind was counted in
      def left(job, place, except: nil)
        came = among(job.accessories, place) or return

        taken = Models::WorkItem.where(job_id: job.id, accessory_id: came.id).exclude(state: "left")
          .exclude(id: except&.id || 0).count
        Left.new(came.id, came.name, came.pieces_in - taken)
      end

      # @param job [Models::Job]
      # @return [Hash{Integer=>Integer}] accessory's id => pieces that were fitted, and do not go back
      def fitted(job)
        Models::WorkItem.where(job_id: job.id, state: "done").exclude(accessory_id: nil).group_and_count(:accessory_id)
          .as_hash(:accessory_id, :count)
      end
    end
  end
end
