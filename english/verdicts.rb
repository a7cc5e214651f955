# frozen_string_literal: true

module UprightBench
  module English
    # What a finding means (Core::Findings).
    module Verdicts
      ANY = {
        time_is_up: "Its time is up: due {due_on}.",
        several_found: ["{first}", " {second}", " {third}"],
        dirty_washable: "{seen} It may be washed.",
        cracked: "Cracked.",
        motor_cracked: "The housing is cracked: refer to the maker.",
        cracked_stop: "Cracked: stop. It belongs to a competent person, under local rules.",
        wet: "Wet: dry it through before it goes back.",
        wet_stop: "Wet: stop. Keep it unplugged, its battery out; it belongs to a competent person, under local rules.",
        foreign: "Take out: {thing}.",
        smells_here: "It smells: clean it.",
        smells_here_washable: "It smells, and may be washed.",
        dirty_here: "Dirty or greasy: wipe it.",
        dirty_here_washable: "Dirty or greasy, and may be washed.",
        noted: "Noted: {note}.",
        dark_unknown: "As dark as its reference. The sheet does not say whether it may be washed: ask the maker, or " \
                      "judge yourself.",
        smell_unknown: "Smells. The sheet does not say whether it may be washed: ask the maker, or judge yourself."
      }.freeze

      BAGS = {
        burst: "The bag has burst: look for dust behind it, on the motor filter.",
        bag_full: "{fill} % full; {whose} at {limit} %: suction falls as it fills.",
        bag_stale: "In use for {age_days}; after {hygiene_days} it smells, full or not.",
        bag_soon_full: "{fill} % full, about {left_days} left: it will not last until anybody looks again.",
        bag_room_left: ["{fill} % full, the line is {limit} %", ": about {left_days} left", "."]
      }.freeze

      BINS = {
        bin_cracked: "Cracked: it leaks suction and dust.",
        bin_full: "{fill} % full; empty at {limit} %, and always before the filters are opened.",
        bin_hazed: "The haze is wear from grit, not dirt: it does not wash off. Say so before the customer asks.",
        bin_room_left: "{fill} % full, below the line."
      }.freeze

      FILTERS = {
        torn: "Torn or out of shape: it lets dust past the seal.",
        damp_washable: "Damp: rinse it and dry it through; damp it can kill the motor.",
        damp: "It was wetted and must not be: replace it.",
        loose: "Loose: clean its seat and set it again. It must click or lock, with no gap.",
        smells_after_wash: "Still smells after the wash.",
        grey_after_wash: "Still grey {grey} of 5 after the wash: it will not come cleaner.",
        indicator_full: "The indicator is full.",
        washed_out: "Washed {washed} times; {life} are its life.",
        dark_washable: "As dark as its reference, and may be washed.",
        dark: "As dark as its reference, and must not be wetted.",
        smell_washable: "Smells; a wash comes first.",
        smell: "Smells, and must not be wetted.",
        grey_washable: "Grey {grey} of 5: worth a wash.",
        grey_tap_out: "Grey {grey} of 5: tap it out.",
        grey_not_full: "Grey {grey} of 5: still has life, and there is nothing to clean.",
        tap_out: "Grey {grey} of 5: tap it out, no water needed.",
        light: "Grey {grey} of 5: nothing to do.",
        indicator_left: "The indicator stands at {percent} %."
      }.freeze

      BRUSHES = {
        gaps: "Bristles are missing: replace the strip.",
        flush: "Bristles are flush with the guide bars: worn out.",
        flush_before_next_service: "{left_mm} left; at this wear flush on {flush_on}, before the next service.",
        proud: ["Bristles stand {proud_mm} proud of the guide bars", "; set the height dial to {dial}", "."],
        roll_worn: "Bristles are {bristles}: it turns, but picks nothing up.",
        roll_light: "The light shows a fault with the roll free: refer to the maker.",
        roll_full: "Bristles are full.",
        roll_light_fine: "The light shows no fault.",
        roll_light_first: "The light shows a fault: free the roll first, then look again."
      }.freeze

      DRIVE = {
        belt_cracked: "Cracked, glazed or torn.",
        belt_too_short: "Shorter than the belt of this model ({nominal_mm}): not the right belt.",
        belt_stretched: "Stretched {stretched} %; the limit is {limit} %.",
        belt_within: "Stretched {stretched} %, below the limit of {limit} %.",
        carbon_sparks: "Sparks at the carbon brushes: stop, and refer to a competent person under local rules.",
        carbon_short: "{left_mm} left, {least_mm} is the least: cheap against a motor. The motor is opened by a " \
                      "competent person.",
        carbon_unknown: "{left_mm} left; the sheet gives no least length.",
        carbon_left: "{left_mm} left, {least_mm} is the least.",
        pack_tired: "Runs {share} % of its time when new ({ran} of {rated} min {setting}); below {limit} % offer a " \
                    "new pack. Clean contacts and filter come first: both mimic a weak pack.",
        charges_badly: "Flashes red while charging: check that it is the charger made for it, then suspect the pack.",
        pack_holds: "Runs {share} % of its time when new ({ran} of {rated} min {setting}).",
        charges: "The charging light is steady."
      }.freeze

      OTHERS = {
        seal_binds_silicone: "The seal binds: wipe it, then a film of silicone, the rest wiped off.",
        looked_fine: "Looked at, nothing to do.",
        own_verdict: ["Marked by {name}.", " The rule says {kind}: {rule}"],
        never_without: "Nothing is fitted here, and {place} must never be without it."
      }.freeze

      TEXTS = { **ANY, **BAGS, **BINS, **FILTERS, **BRUSHES, **DRIVE, **OTHERS }.freeze
    end
  end
end
