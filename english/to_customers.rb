# frozen_string_literal: true

module UprightBench
  module English
    # What was found, as a customer reads it, where the sentence for the staff also says what to do about it or is in
    # the words of the trade. All other reasons read the same for both.
    module ToCustomers
      TEXTS = {
        dark_unknown: "Very dark: little air gets through.",
        dark_washable: "Very dark: little air gets through.",
        dark: "Very dark: little air gets through, and it must not be washed.",
        smell_unknown: "It smells.",
        smell_washable: "It smells.",
        smell: "It smells, and must not be washed.",
        loose: "It sits loose.",
        damp: "It was wetted, and must not be.",
        smells_here: "It smells.",
        dirty_here: "Dirty or greasy.",
        wet: "It is wet.",
        burst: "The bag has burst.",
        bin_hazed: "The haze is wear from grit: it does not wash off.",
        motor_cracked: "The housing is cracked. That is work for the maker.",
        cracked_stop: "Cracked. That is work for a competent person, under local rules.",
        roll_stuck: "The roll is stuck.",
        side_brush_hair_wound: "It is wound with hair.",
        wiper_dirty: "Dirty: hair under it makes the head ride up.",
        window_dirty: "The window is dirty.",
        wheels_drag: "The wheels drag: hair on the axles, grit in the bearings.",
        vents_dusty: "Dusty: the head sticks to the floor.",
        path_partly: "Partly blocked.",
        path_blocked: "Blocked.",
        flap_jammed: "The flap is jammed.",
        comb_hair_wound: "There is hair in the comb.",
        pedal_stiff: "Stiff, or it stops half-way.",
        valve_sticks: "It sticks open, so air goes in at the handle.",
        screen_hair_wound: "It is wound with hair.",
        screen_clogged: "It is clogged.",
        cyclone_dusty: "The cones are dusty.",
        cyclone_packed: "The cones are packed with dust.",
        sensor_silent: "The machine does not notice that its filter is out.",
        motor_high_pitched: "It runs high-pitched, as where something blocks the air.",
        motor_rough: "It runs rough: a bearing. That is work for the maker.",
        seal_dirty: "A dirty seal leaks as surely as a torn one.",
        seal_lifted: "The seal has lifted.",
        seal_binds: "The seal binds.",
        seal_binds_silicone: "The seal binds.",
        contacts_dirty: "Dirty contacts make a good battery pack seem weak.",
        battery_weak: "The pack runs short.",
        tank_dirty: "The tank is dirty.",
        tank_gapes: "The lid does not seal, so there is no suction.",
        dock_dusty: "There is dust on the dock's ramp and sensors.",
        dock_loose: "The dock is loose: it needs heavier anchors.",
        pack_tired: "Runs {share} % of its time when new ({ran} of {rated} min {setting}).",
        charges_badly: "It flashes red while charging.",
        carbon_short: "{left_mm} left, {least_mm} is the least."
      }.freeze

      module_function

      # @param reason [Core::Reason]
      # @return [String]
      def of(reason, unit: :mm)
        figures = reason.figures.transform_values { |figure| worded(figure, unit) }
        text = TEXTS[reason.key]
        return Sentences.fill(text, Figures.new(figures, unit)) if text

        Sentences.of(reason.with(figures: figures), unit: unit)
      end

      # @return [Object] a reason within a reason, in words
      def worded(figure, unit)
        figure.is_a?(Core::Reason) ? Core::Reason.written(of(figure, unit: unit)) : figure
      end
      private_class_method :worded
    end
  end
end
