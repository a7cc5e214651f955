# frozen_string_literal: true

module UprightBench
  module English
    # Why a part fits a place of a machine, or does not (Core::Fit).
    module Fits
      FOR = {
        listed: ["listed for {model}", "listed for the {family} family", ", body style {body_style}", ", {place}"],
        tried: ["tried here: it fits {model}", "tried here: it fits the {family} family", ", body style {body_style}",
                ", {place}"],
        successor: ["takes the place of {part} ({number})", ", {steps} on", ", {listed}"],
        by_measure: "by measure only ({sides}): a guess that must be tried in place",
        of_the_size: "{sides} measured",
        side: "{side} {had} mm for {wanted} mm",
        has: "has the {attributes}",
        hepa: "HEPA ({filter_class}), as this home wants it",
        charcoal: "charcoal, wanted for the smell",
        pattern: "pattern part, not the maker's",
        pattern_in_warranty: "pattern part: may end the maker's warranty, the customer must agree by name",
        holds: "holds {contents}",
        box_piece: "{pieces} {kind}",
        takes_out: "takes out the {parts}, which goes back to the customer labelled. Never fit both",
        last_of_its_kind: "the last of its kind: {part} ({number}) takes its place",
        on_shelf: ["{stock} on the shelf", " ({reserved} reserved for others)"],
        none_on_shelf: ["none on the shelf", ", {lead_days} to come"],
        none_free_on_shelf: ["none free on the shelf ({reserved} reserved for others)", ", {lead_days} to come"]
      }.freeze

      AGAINST = {
        tried_in_vain: "tried here, and it did not fit: {why}",
        other_body_style: "made for body style {styles}; this machine is a {body_style}",
        serial_number_unknown: "fits certain serial numbers only, and this machine's is not recorded",
        other_serial_number: ["fits serial numbers", " from {serial_from}", " up to {serial_to}",
                              "; this one is {serial_number}"],
        in_the_way: "has the {attribute}, which is in the way here",
        has_none: "has no {attribute}, and is held by one here",
        other_attribute: "{attribute} is {had}; it must be {wanted}",
        attribute_not_stated: "{attribute} is not stated; it must be {wanted}",
        needs_one: "needs a {attribute}, which this machine lacks",
        needs: "needs {attribute} {wanted}",
        gone: ["no longer made, and none is left", ": {part} ({number}) took its place"],
        too_large: "{side} {had} mm, {off} mm more than here ({allowed} mm allowed)",
        too_small: "{side} {had} mm, {off} mm less than here ({allowed} mm allowed)",
        listed_elsewhere: "listed for other models only",
        listed_nowhere: "listed for no model here",
        nothing_fits: "Nothing on file fits {place} of this {model}: give the maker its serial number.",
        together: "Never without {place}: see that both are in place."
      }.freeze

      TEXTS = { **FOR, **AGAINST }.freeze
    end
  end
end
