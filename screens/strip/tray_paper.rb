# frozen_string_literal: true

module UprightBench
  module Screens
    module Strip
      # The tray sheet of a job as a paper.
      class TrayPaper
        # @param page [Queries::StripPage]
        # @param date [String] today's, in words
        # @param look [Hash] as Papers::Paper#render takes it
        def initialize(page, date:, look:)
          @page = page
          @date = date
          @look = look
        end

        # @return [String] PDF
        # @raise [Services::Refused] when nothing comes off that could be laid by
        def render
          lanes = @page.lanes.map { |lane| [lane.step, lane.pieces] }
          raise Services::Refused, "Nothing with screws or loose parts comes off for this job." if lanes.empty?

          Papers::TraySheet.new(number: @page.job.number, date: @date, lanes: lanes,
            about: "#{@page.job.machine.sheet.title}, #{@page.job.customer.name}").render(**@look)
        end
      end
    end
  end
end
