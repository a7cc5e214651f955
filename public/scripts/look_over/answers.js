// Showing what the server sent back: rows, the ribbon and the summary, without taking anything from under somebody's hands.
import { all, first, typing } from "../dom.js";
import { ofRow } from "./entries.js";
import { markInHand, row } from "./walk.js";

const SAID_FOR_MS = 8000;
const STRANGE = "The server could not take this. Load the page again.";

// @param sent the entry that this answers, if any
export const take = async (answer, sent = null) => {
  if (answer.status === 204) return;
  const page = new DOMParser().parseFromString(await answer.text(), "text/html");
  if (!first("#walk-ribbon", page)) return complain(sent, first("main", page)?.textContent.trim() || STRANGE);
  all("body > [id]", page).forEach((part) => {
    if (part.dataset.row) takeRow(part, sent);
    else takePart(part);
  });
  markInHand();
};

const takePart = (part) => {
  const old = document.getElementById(part.id);
  const focused = old?.contains(document.activeElement) ? document.activeElement : null;
  const again = focused && (focused.id || focused.dataset.position);
  if (old) old.replaceWith(part);
  else first(".walk-body").before(part);
  if (again) (document.getElementById(again) || first(`[data-position="${CSS.escape(again)}"]`, part))?.focus();
  if (part.id === "said") setTimeout(() => part.remove(), SAID_FOR_MS);
};

const takeRow = (part, sent) => {
  const old = row(part.dataset.row);
  const mine = sent?.row === part.dataset.row;
  const waiting = ofRow(part.dataset.row);
  // A newer entry of ours is on its way: it goes by what this one made, and brings its own row.
  if (mine && waiting.length) return waiting.forEach((entry) => setVersion(entry, first("[name=version]", part).value));
  if (!mine && (waiting.length || half(old))) return; // ours is refused as stale when it comes, with both to look at
  replaceKeepingFocus(old, part, mine ? new URLSearchParams(sent.fields) : null);
};

const setVersion = (entry, version) => {
  entry.fields = entry.fields.map(([name, value]) => [name, name === "version" ? version : value]);
};

// What was typed on while the answer was on its way stays.
const replaceKeepingFocus = (old, part, sentFields) => {
  const focused = document.activeElement;
  const inside = old.contains(focused);
  const typed = inside && typing(focused) && focused.name ? focused.value : null;
  const before = sentFields && focused.name ? sentFields.get(focused.name) : null;
  old.replaceWith(part);
  if (!inside) return;
  const again = focused === old ? part : document.getElementById(focused.id) || part;
  if (typed !== null && typed !== before && again !== part) again.value = typed;
  again.focus();
};

// Something was typed here and is not saved yet.
const half = (form) => all("input:not([type=hidden])", form).some((input) => typing(input) && input.value !== input.defaultValue);

const complain = (sent, words) => {
  const slip = document.createElement("p");
  slip.className = "slip slip-stop";
  slip.role = "alert";
  slip.textContent = words;
  (sent?.row ? row(sent.row) : first(".walk-body")).prepend(slip);
};
