# frozen_string_literal: true

# A closed day may have a name and come every year.
Sequel.migration do
  up do
    run <<~SQL
      UPDATE policies SET key = 'closed_days',
        value = (SELECT coalesce(jsonb_agg(jsonb_build_object('on', day, 'yearly', false)), '[]') FROM jsonb_array_elements_text(value) AS day)
        WHERE key = 'holidays';
    SQL
  end
end
