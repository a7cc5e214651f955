# frozen_string_literal: true

module UprightBench
  module Models
    # Something that blocks all work on a machine until a named person records what was done.
    class Stop < Sequel::Model(:stops)
      many_to_one :job

      dataset_module do
        where :standing, cleared_at: nil
      end

      # @param sheet [Core::Sheets::Sheet] the job's
      # @return [String] what it is about
      def about(sheet)
        position ? sheet.position(position).name.downcase : Core::Intake::Safety::CONDITIONS.fetch(condition).first
      end
    end
  end
end
