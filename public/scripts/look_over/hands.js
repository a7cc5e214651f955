// Keys on a place. An answer of "native" leaves the key to the browser, and keeps it from the keys of every page.
import { all, first, typing } from "../dom.js";
import { step, stepStation } from "./walk.js";

const choose = (scale, digit) => {
  const steps = all("input", scale);
  const chosen = scale.dataset.scale === "scale" ? steps.find((input) => input.value === digit) : steps[Number(digit) - 1];
  if (!chosen) return;
  chosen.focus();
  if (!chosen.checked) chosen.click();
};

const arrows = { ArrowDown: [step, 1], ArrowUp: [step, -1], ArrowRight: [stepStation, 1], ArrowLeft: [stepStation, -1] };

const byArrow = (event, key) => {
  const sideways = event.key === "ArrowRight" || event.key === "ArrowLeft";
  if (sideways && (typing(event.target) || event.target.closest("[data-scale]"))) return "native";
  const [move, by] = arrows[event.key];
  move(key, by);
  return "done";
};

const byEnter = (field, form) => {
  if (field.matches("button, a, summary")) return "native";
  const measure = field === form && first(".measures input:not([disabled])", form);
  if (measure) measure.focus();
  else if (field.dataset.unsaved !== undefined) first("[name=other]", form).click();
  else if (field !== form) {
    field.blur(); // saves what was typed
    step(form.dataset.row, 1);
  }
  return "done";
};

const openSkip = (form) => {
  const skip = first("[data-skip]", form);
  if (!skip) return;
  skip.open = true;
  first("button", skip).focus();
};

const byLetter = (event, form) => {
  if (event.key === "f") first("[data-fine] button", form.closest("[data-station-box]"))?.click();
  else if (event.key === "k") openSkip(form);
  else if (/^[0-9]$/.test(event.key)) byDigit(event, form);
  else return null;
  return "done";
};

const byDigit = (event, form) => {
  const scale = event.target.closest("[data-scale]");
  if (scale) choose(scale, event.key);
  else first(`[data-verdict="${event.key}"]`, form)?.click();
};

// @returns "done", "native", or null for a key that means nothing here
export const inRow = (event, form) => {
  if (event.key in arrows) return byArrow(event, form.dataset.row);
  if (event.key === "Enter") return byEnter(event.target, form);
  return typing(event.target) ? null : byLetter(event, form);
};
