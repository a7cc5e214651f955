# frozen_string_literal: true

# Group: slow (every field of every kind of place)

require "nokogiri"
require_relative "../../test_helper"
require_relative "../../support/as_staff"

# Every place of every shipped sheet, shown in the editor's form and sent back as the browser would: nothing is changed.
class PositionFieldsTest < DatabaseTest
  include AsStaff

  def setup
    sign_in
  end

  # What a browser sends for the form around the sheet's fields.
  def sent(action)
    form = Nokogiri::HTML5(page).at_css(%(form[action="#{action}"]))
    fields = form.css("input[name], textarea[name]").reject do |one|
      %w[checkbox submit].include?(one["type"]) && !one.key?("checked")
    end
    pairs = fields.map do |field|
      [field["name"], field.name == "textarea" ? field.text.delete_prefix("\n") : field["value"]]
    end
    pairs += form.css("select").map do |one|
      [one["name"],
       (one.at_css("option[selected]") || one.at_css("option")).then { |option| option["value"] || option.text }]
    end
    pairs.map { |name, value| "#{Rack::Utils.escape(name)}=#{Rack::Utils.escape(value.to_s)}" }.join("&")
  end

  def test_showing_and_saving_a_form_changes_nothing
    Models::Sheet.order(:id).all.each do |sheet|
      draft = Services::BeginDraft.of(sheet, by: owner, at: NOW)
      ["head", *sheet.to_core.positions.map(&:key)].each do |at|
        get "/drafts/#{draft.id}", { "at" => at }
        action = at == "head" ? "/drafts/#{draft.id}/head" : "/drafts/#{draft.id}/positions/#{at}"
        post action, sent(action)

        assert_equal 303, status, "#{sheet.title}, #{at}"
      end

      assert_empty Core::Sheets::Changes.new(draft.base.content.to_hash, draft.refresh.data).call, sheet.title
    end
  end
end
