# frozen_string_literal: true

namespace :audit do
  desc "Look through the seals of the history; fails when one does not hold"
  task verify: "db:boot" do
    answer = UprightBench::Services::VerifySeals.call(at: Time.now)
    puts "#{answer.sealed} events are as they were when they were sealed; of #{answer.forgotten} of them the detail " \
         "was forgotten.",
      "The last seal is #{answer.last}. Written down elsewhere, it shows whether the history was made anew."
    abort answer.problems.join("\n") if answer.problems.any?
  end
end
