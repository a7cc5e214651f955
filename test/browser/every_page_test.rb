# frozen_string_literal: true

# Group: slow (every main page, at four widths)

require_relative "../browser_helper"
require_relative "../support/main_pages"

# Every main page: clean for axe, wide enough for nothing to scroll sideways, within reach of the keyboard and of a
# finger, quiet, served from its own host alone. Each is visited once, and looked at for all of these.
class EveryPageTest < BrowserTest
  include MainPages

  # The findings on one page: the rules that axe says are broken, the content's width in each window, the controls that
  # Tab does not reach, those too low for a finger, and those that look the same with the focus as without.
  Seen = Struct.new(:axe, :wide, :unreachable, :low, :unseen, keyword_init: true)
  WIDTHS = [320, 390, 1280, 1920].freeze
  UNREACHABLE = <<~JS
    [...document.querySelectorAll("main a[href], main button, main input:not([type=hidden]), main select, main textarea, main summary")]
      .filter((one) => one.getClientRects().length && !one.disabled && one.tabIndex < 0).map((one) => one.outerHTML.slice(0, 90))
  JS
  LOW = <<~JS
    [...document.querySelectorAll("main .btn, main .verdict-button, main .form-control, main .step-choice, main .part, main .hit")]
      .filter((one) => one.getClientRects().length && one.getBoundingClientRect().height < 44).map((one) => one.outerHTML.slice(0, 90))
  JS
  CONTROLS = "a[href], button, input:not([type=hidden]), select, textarea, summary"
  # The script focuses one control of each kind and returns the kinds that look the same as before. It compares the
  # styles of the control, its label, its parent and the ring inside a drawing, since a page may draw the focus on any.
  UNSEEN = <<~JS.freeze
    (() => {
      const look = (control) => [control, control.closest("label"), control.parentElement, ...control.querySelectorAll(".ring, .due-area")]
        .filter(Boolean).map((part) => getComputedStyle(part))
        .map((style) => [style.outlineStyle, style.outlineWidth, style.outlineColor, style.boxShadow, style.borderColor, style.stroke, style.strokeWidth,
          style.fill, style.left].join("|")).join("; ");
      const kinds = new Map();
      for (const control of document.querySelectorAll("#{CONTROLS}")) {
        if (control.disabled || !control.checkVisibility()) continue;
        const kind = `${control.tagName} ${control.type || ""} ${control.getAttribute("class") || ""}`;
        if (!kinds.has(kind)) kinds.set(kind, control);
      }
      document.activeElement.blur();
      return [...kinds].filter(([, control]) => {
        const before = look(control);
        control.focus({ preventScroll: true });
        const seen = look(control) !== before;
        control.blur();
        return !seen;
      }).map(([kind]) => kind);
    })()
  JS

  class << self
    attr_accessor :seen
  end

  # @return [Hash{String=>Seen}] by address
  def seen
    self.class.seen ||= begin
      visit "/login"
      login = { "/login" => Seen.new(axe: axe, wide: widths) }
      sign_in
      { **login, **staffs_pages, **customers_pages }
    end
  end

  def staffs_pages
    pages.to_h do |path|
      visit path
      [path, Seen.new(axe: axe, wide: widths, unreachable: evaluate_script(UNREACHABLE), low: evaluate_script(LOW),
        unseen: unseen)]
    end
  end

  def customers_pages
    [card_path, "#{card_path}/stop", job_path, register_path].to_h do |path|
      visit path
      [path, Seen.new(axe: axe, wide: widths, unseen: (unseen unless path.end_with?("/stop")))]
    end
  end

  # @return [Hash{Integer=>Integer}] width of the window => of what is in it
  def widths
    WIDTHS.to_h do |width|
      resize(width, 800)
      [width, evaluate_script("document.documentElement.scrollWidth")]
    end
  ensure
    resize(1280, 800)
  end

  # The test presses Tab first: the browser then shows the focus that a script sets as it shows that of the keyboard.
  def unseen
    wait_for("a focus that shows") do
      press :Tab
      evaluate_script("document.activeElement.matches(':focus-visible')")
    end
    evaluate_script(UNSEEN)
  end

  # @return [Hash{String=>Array}] by address, what was found on those that were looked at for it
  def found(what)
    asked = seen.transform_values(&what).compact

    assert_operator asked.size, :>, 80
    asked.reject { |_, all| all.empty? }
  end

  def test_axe_finds_nothing
    assert_empty found(:axe)
  end

  def test_nothing_scrolls_sideways
    too_wide = found(:wide).transform_values { |wide| wide.select { |window, content| content > window } }

    assert_empty(too_wide.reject { |_, wide| wide.empty? })
  end

  # Everything that answers a click can be reached with Tab, and is tall enough for a finger.
  def test_everything_is_within_reach_of_the_keyboard_and_of_a_finger
    assert_empty found(:unreachable)
    assert_empty found(:low)
  end

  # One of each kind of control on a page: focused as with the keyboard, it must look otherwise than before.
  def test_the_focus_is_seen_on_every_kind_of_control
    assert_empty found(:unseen)
  end
end
