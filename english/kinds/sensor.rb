# frozen_string_literal: true

module UprightBench
  module English
    module Kinds
      # Words for Core::Kinds::Sensor.
      Sensor = KindWords.new(
        labels: { state: "Seat sensor" },
        steps: {},
        faults: { silent: "does not answer" },
        act: "Press where the filter sits, and watch the light.",
        sign: "no answer", tool: nil,
        measures: {},
        found: {
          sensor_answers: { both: "The machine notices that the filter is out: the sensor answers." },
          sensor_silent: {
            staff: "The machine runs without its filter: clean the sensor and its seat, then try again.",
            customers: "The machine does not notice that its filter is out."
          }
        }
      )
    end
  end
end
