# frozen_string_literal: true

module UprightBench
  module English
    # What a finding means at any kind of part (Core::Findings); what each kind has of its own stands in kinds/.
    module Verdicts
      ANY = {
        time_is_up: "Its time is up: due {due_on}.",
        several_found: ["{first}", " {second}", " {third}"],
        dirty_washable: "{seen} It may be washed.",
        cracked: "Cracked.",
        cracked_stop: "Cracked: stop. It belongs to a competent person, under local rules.",
        wet: "Wet: dry it through before it goes back.",
        wet_stop: "Wet: stop. Keep it unplugged, its battery out; it belongs to a competent person, under local rules.",
        foreign: "Take out: {thing}.",
        smells_here: "It smells: clean it.",
        smells_here_washable: "It smells, and may be washed.",
        dirty_here: "Dirty or greasy: wipe it.",
        dirty_here_washable: "Dirty or greasy, and may be washed.",
        noted: "Noted: {note}."
      }.freeze

      OTHERS = {
        looked_fine: "Looked at, nothing to do.",
        own_verdict: ["Marked by {name}.", " The rule says {kind}: {rule}"],
        never_without: "Nothing is fitted here, and {place} must never be without it."
      }.freeze

      TEXTS = { **ANY, **OTHERS }.freeze
    end
  end
end
