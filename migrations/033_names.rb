# frozen_string_literal: true

# One word for each thing, in the database as on the screens and in the code. Nothing but names changes.
tables = { visits: :bookings, offers: :estimates_sent, bonuses: :offers, rack_places: :rack_slots,
           learned: :wear_histories }
columns = { machines: { plate: :serial_number }, fit_rules: { plate_from: :serial_from, plate_to: :serial_to },
            findings: { mark: :verdict, own_mark: :own_verdict, load_found: :wear_found,
                        load_expected: :wear_expected },
            estimates_sent: { offered_by: :sent_by, offered_at: :sent_at }, estimates: { offer_id: :estimate_sent_id },
            cards: { bonus_id: :offer_id, calls: :phone_calls, called_at: :phoned_at },
            rack_stays: { rack_place_id: :rack_slot_id },
            people: { room: :theme }, pictures: { stage: :state }, work_items: { place: :sequence },
            part_import_pieces: { place: :sequence }, paper_pieces: { place: :sequence } }
# What a name said before and says now, at the beginning of the name of a constraint, an index or a trigger.
beginnings = { "visits_" => "bookings_", "offers_" => "estimates_sent_", "bonuses_" => "offers_",
               "rack_places_" => "rack_slots_",
               "learned_" => "wear_histories_", "machines_plate" => "machines_serial_number",
               "findings_mark" => "findings_verdict",
               "estimates_offer_id" => "estimates_estimate_sent_id", "cards_bonus_id" => "cards_offer_id",
               "rack_stays_rack_place_id" => "rack_stays_rack_slot_id", "people_room" => "people_theme",
               "rack_stays_one_part_per_place" => "rack_stays_one_part_per_slot" }
renamed = lambda do |name|
  old = beginnings.keys.find { |beginning| name.start_with?(beginning) }
  old && (beginnings.fetch(old) + name.delete_prefix(old))
end

Sequel.migration do
  up do
    # Offers take the name that estimates had, so the constraints go first and in this order.
    constraints = from(:pg_constraint).where(connamespace: Sequel.lit("'public'::regnamespace")).exclude(conrelid: 0)
      .select_map([:conname, Sequel.lit("conrelid::regclass::text").as(:table)])
    triggers = from(:pg_trigger).where(tgisinternal: false)
      .select_map([:tgname, Sequel.lit("tgrelid::regclass::text").as(:table)])
    indexes = from(:pg_indexes).where(schemaname: "public").exclude(indexname: constraints.map(&:first))
      .select_map(:indexname)
    order = ->(name) { beginnings.keys.index { |beginning| name.start_with?(beginning) } || beginnings.size }
    constraints.sort_by { |name, _| order.call(name) }.each do |name, table|
      run "ALTER TABLE #{table} RENAME CONSTRAINT #{name} TO #{renamed.call(name)}" if renamed.call(name)
    end
    triggers.sort_by { |name, _| order.call(name) }.each do |name, table|
      run "ALTER TRIGGER #{name} ON #{table} RENAME TO #{renamed.call(name)}" if renamed.call(name)
    end
    indexes.sort_by { |name| order.call(name) }.each do |name|
      if renamed.call(name)
        run "ALTER INDEX #{name} RENAME TO " \
            "#{renamed.call(name)}"
      end
    end

    tables.each { |old, new| rename_table old, new }
    columns.each { |table, names| names.each { |old, new| rename_column table, old, new } }
    run <<~SQL
      SELECT set_config('upright_bench.forgetting', 'yes', true);
      UPDATE events SET subject = CASE subject WHEN 'visits' THEN 'bookings' WHEN 'offers' THEN 'estimates_sent' ELSE 'offers' END
        WHERE subject IN ('visits', 'offers', 'bonuses');
      UPDATE events SET data = (data - 'mark') || jsonb_build_object('verdict', data -> 'mark') WHERE data ? 'mark';
      SELECT set_config('upright_bench.forgetting', '', true);
      UPDATE policies SET key = CASE key WHEN 'room_temperature_c' THEN 'drying_temperature_c' WHEN 'room_humidity_percent' THEN 'drying_humidity_percent'
        ELSE 'seal_care' END WHERE key IN ('room_temperature_c', 'room_humidity_percent', 'seal_school');
      UPDATE findings SET clause = 'own_verdict' WHERE clause = 'own_mark';
      UPDATE wordings SET name = 'page_booking' WHERE name = 'page_visit';
    SQL
  end
end
