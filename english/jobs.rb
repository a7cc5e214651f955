# frozen_string_literal: true

module UprightBench
  module English
    # Why a job is ready when it is, whether its machine is in warranty, and how much it is used.
    module Jobs
      TEXTS = {
        ready_by: ["{work_minutes} of work", ", once the rack has room for {slots}", ", once {free_place} is free",
                   ", {wait_hours} h of drying", ", {wet_hours} h until all is dry",
                   ", {lead_days} until the parts are there", ", {refit_minutes} to refit and test",
                   ", after work on {behind}",
                   ", {spare_minutes} in case something takes longer (holds {share} times in 100)"],
        stored: "stored, no use: the calendar alone counts",
        assumed_use: "{mean} h a week, likely {low} to {high} (nothing said, an hour a week assumed)",
        known_use: "{mean} h a week, likely {low} to {high} (from what was said and read)",
        bought_unknown: "nobody knows when it was bought",
        bought_second_hand: "bought second-hand: the maker's terms were for the first owner",
        no_warranty: "its maker gives none",
        warranty_until: ["{terms_months}", " or {terms_hours} hours", " from {from_on}: until {until_on}",
                         ", about {run_hours} of {terms_hours} hours run"],
        warranty_ended: ["{terms_months}", " or {terms_hours} hours", " from {from_on}: ended {until_on}"],
        warranty_run_out: "about {run_hours} of {terms_hours} hours run"
      }.freeze
    end
  end
end
