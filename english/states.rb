# frozen_string_literal: true

module UprightBench
  module English
    # What a part's state means, where one look decides (Core::Findings::States).
    module States
      TEXTS = {
        roll_free: "The roll spins freely.",
        roll_drags: "The roll drags: hair at the ends and on the bearings.",
        roll_stuck: "The roll is stuck: free the ends first; if it still sticks, refer.",
        side_brush_straight: "The side brush is straight and free.",
        side_brush_hair_wound: "Hair that the main brush does not collect: cut it away, keep the small screw.",
        side_brush_bent: "Bent or splayed: it throws dirt aside instead of drawing it in.",
        side_brush_missing: "The side brush is missing.",
        wiper_supple: "The strip is supple and whole.",
        wiper_dirty: "Dirty: wipe it; hair under it makes the head ride up.",
        wiper_worn: "Worn or torn: it leaves a trail.",
        guide_bars_straight: "The guide bars are straight.",
        guide_bars_bent: "Bent guide bars catch the pile and wear the bristles on one side.",
        guide_bars_missing: "A guide bar is missing: bristles cannot be judged, and carpet is drawn in.",
        window_clear: "The window is clear.",
        window_dirty: "The window is dirty: wipe it, look for what it hides.",
        window_cracked: "Cracked: it leaks just where the suction is wanted.",
        wheels_turn: "The wheels turn freely.",
        wheels_drag: "The wheels drag: hair on the axles, grit in the bearings. Bearings are never soaked.",
        wheels_broken: "A wheel is broken: the head scrapes, and the floor with it.",
        vents_open: "The vents are open.",
        vents_dusty: "Dusty vents: brush them, the head sticks to the floor without them.",
        vents_blocked: "Blocked vents: the head sticks to the floor and starves.",
        path_clear: "The airflow is clear.",
        path_partly: "Partly blocked: push it through with a blunt rod.",
        path_blocked: "Blocked: push it through with a blunt rod.",
        flap_closes: "The flap closes fully.",
        flap_gapes: "The flap gapes: dust under it, dirt falls straight out again.",
        flap_jammed: "The flap is jammed: that looks like a dead motor. Free it.",
        flap_broken: "The flap is broken.",
        screen_clear: "The screen is clear.",
        screen_hair_wound: "Hair-wound: the cause most owners never find. Brush, wipe, let dry.",
        screen_clogged: "Clogged: the cause most owners never find. Brush, wipe, let dry.",
        screen_torn: "Torn or broken through: it lets fluff on to the filter.",
        cyclone_clear: "The cones are clear.",
        cyclone_dusty: "Dusty cones: tap and brush from outside.",
        cyclone_packed: "Packed cones: opened only with the customer's agreement when in warranty, and with a screw " \
                        "map.",
        sensor_answers: "The machine notices that the filter is out: the sensor answers.",
        sensor_silent: "The machine runs without its filter: clean the sensor and its seat, then try again.",
        motor_even: "The motor runs evenly.",
        motor_high_pitched: "High-pitched: look for a blockage, or a filter out of place. Nothing is done to the " \
                            "motor.",
        motor_rough: "Runs rough: a bearing. Refer to the maker.",
        motor_burnt_smell: "Burnt smell: stop, and refer to a competent person under local rules.",
        seal_clean: "The seal is clean and seated.",
        seal_dirty: "A dirty seal leaks as surely as a torn one: wipe it.",
        seal_lifted: "The seal has lifted: wipe it and seat it again.",
        seal_binds: "The seal binds: find which one by closing the inner lid alone first, then wipe it.",
        seal_torn: "The seal is torn: it cannot hold suction.",
        contacts_bright: "The contacts are bright.",
        contacts_dirty: "Dirty contacts mimic a weak pack: dry cloth only.",
        contacts_burnt: "Burnt contacts: stop, and refer to a competent person under local rules.",
        battery_sound: "The pack looks sound.",
        battery_weak: "The pack runs short: wipe the contacts and see to the filter first, then offer a new pack.",
        battery_swollen: "Swollen, hot, leaking, dropped or wetted: stop, keep it apart, take it to a battery " \
                         "collection point.",
        lead_sound: "The lead is sound along its whole length.",
        lead_damaged: "Damaged lead: stop. Repair and safety test belong to a competent person under local rules.",
        tank_clean: "The tank is clean and its lid seals.",
        tank_dirty: "Dirty: rinse and dry it. No floor cleaner unless the maker allows it.",
        tank_gapes: "The lid does not seal, so there is no suction: clean its rim and seat it again.",
        tank_leaks: "The tank leaks.",
        pad_clean: "The pad is clean.",
        pad_dirty: "The pad is dirty.",
        pad_worn: "Worn through or frayed: it smears.",
        dock_firm: "The dock stands firm.",
        dock_dusty: "Dust on the dock's ramp and sensors: dry cloth only.",
        dock_loose: "The dock is loose: tell the customer it needs heavier anchors."
      }.freeze
    end
  end
end
