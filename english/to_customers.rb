# frozen_string_literal: true

module UprightBench
  module English
    # What was found, as a customer reads it, where the sentence for the staff also says what to do about it or is in
    # the words of the trade. It is read before the work and after it. All other reasons read the same for both.
    module ToCustomers
      TEXTS = {
        dark_unknown: "Very dark: little air gets through.",
        dark_washable: "Very dark: little air gets through.",
        dark: "Very dark: little air gets through, and it must not be washed.",
        smell_unknown: "Smells.",
        smell_washable: "Smells.",
        smell: "Smells, and must not be washed.",
        loose: "Loose in its seat.",
        damp: "Damp, and it must never be wet.",
        smells_here: "Smells.",
        dirty_here: "Dirty or greasy.",
        wet: "Wet.",
        bin_full: "{fill} % full; it should be emptied at {limit} %.",
        burst: "Burst.",
        bin_hazed: "The haze is wear from grit: it does not wash off.",
        motor_cracked: "The housing is cracked. That is work for the maker.",
        cracked_stop: "Cracked. That is work for a competent person, under local rules.",
        roll_stuck: "Stuck.",
        side_brush_hair_wound: "Wound with hair.",
        wiper_dirty: "Dirty: hair under it makes the head ride up.",
        window_dirty: "Dirty.",
        wheels_drag: "The wheels drag: hair on the axles, grit in the bearings.",
        vents_dusty: "Dusty: the head sticks to the floor.",
        path_partly: "Partly blocked.",
        path_blocked: "Blocked.",
        flap_jammed: "Jammed.",
        comb_hair_wound: "Hair in the comb.",
        pedal_stiff: "Stiff, or it stops half-way.",
        valve_sticks: "Sticks open, so air goes in at the handle.",
        screen_hair_wound: "Wound with hair.",
        screen_clogged: "Clogged.",
        cyclone_dusty: "Dusty cones.",
        cyclone_packed: "Packed with dust.",
        sensor_silent: "The machine does not notice that its filter is out.",
        motor_high_pitched: "Runs high-pitched, as where something blocks the air.",
        motor_rough: "Runs rough: a bearing. That is work for the maker.",
        seal_dirty: "A dirty seal leaks as surely as a torn one.",
        seal_lifted: "Lifted out of its seat.",
        seal_binds: "Binds.",
        seal_binds_silicone: "Binds.",
        contacts_dirty: "Dirty contacts make a good battery pack seem weak.",
        battery_weak: "Runs short.",
        tank_dirty: "Dirty.",
        tank_gapes: "The lid does not seal, so there is no suction.",
        dock_dusty: "Dust on the ramp and the sensors.",
        dock_loose: "Loose: it needs heavier anchors.",
        pack_tired: "Runs {share} % of its time when new ({ran} of {rated} min {setting}).",
        charges_badly: "Flashes red while charging.",
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
