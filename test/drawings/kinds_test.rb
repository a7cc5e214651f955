# frozen_string_literal: true

require_relative "../test_helper"

# Every kind of part is drawn in every state that it may be found in. It goes over the registry, so that a later kind or
# state without its drawing is named here.
class KindDrawingsTest < AppTest
  POLICY = Core::Findings::Policy.new

  def place(kind)
    Core::Sheets::Position.new(key: "here", name: "Here", station: "there", kind: kind.key)
  end

  def drawn(kind, observed)
    Drawings::Gauge.new(position: place(kind), observed: observed, policy: POLICY).render
  end

  def pictured
    Core::Kinds.all.select(&:states_in).select { |kind| Drawings::Gauge::BY_KIND.fetch(kind.key) < Drawings::Gauges::Pictured }
  end

  def test_every_state_has_a_picture_of_its_own
    pictured.each do |kind|
      pictures = kind.states.keys.to_h { |word| [word, drawn(kind, { kind.states_in => word })] }

      own = Drawings::Gauge::BY_KIND.fetch(kind.key)::PICTURES

      assert_equal kind.states.keys, own.keys, kind.key
      assert_equal own.size, own.values.uniq.size, "#{kind.key}: two states look the same"
      pictures.each { |word, picture| assert_includes picture, "Here: #{word}" }
    end
  end

  def test_what_nobody_looked_at_is_a_ghost
    pictured.each do |kind|
      assert_includes drawn(kind, {}), "gauge-ghost"
      assert_includes drawn(kind, {}), "Here: not looked at"
    end
  end

  # What a finding says of a place that was of another kind then.
  def test_a_state_of_another_kind
    pictured.each { |kind| assert_includes drawn(kind, { kind.states_in => "of another kind" }), "Here: not looked at" }
  end

  # What is chosen or ticked there is to be told from all else that may be, and from nothing.
  def test_what_was_found_is_to_be_seen
    Core::Kinds.all.each do |kind|
      told = kind.own_fields.reject { |_, field| field.type == :measure }
      seen = [{}, *told.flat_map { |name, field| (field.sample_values - [false]).map { |value| { name => value } } }]
      pictures = seen.group_by { |observed| drawn(kind, observed) }

      assert_empty pictures.values.select { |alike| alike.size > 1 }, kind.key
    end
  end

  def test_every_kind_is_drawn_whatever_was_seen_of_it
    Core::Kinds.all.each do |kind|
      kind.fields.each do |name, field|
        field.sample_values.each do |value|
          assert_match(%r{\A<svg.*</svg>\z}m, drawn(kind, { name => value }), kind.key)
        end
      end
    end
  end
end
