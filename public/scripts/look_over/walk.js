// Which place is in hand: every station is on the page, and one of them is shown.
import { all, first } from "../dom.js";

export const walk = () => first("#walk");
export const ribbon = () => first("#walk-ribbon");
export const row = (key) => first(`#row-${CSS.escape(key)}`);

const boxes = () => all("[data-station-box]");
const keysInOrder = () => all(".ribbon-wide a[data-position]", ribbon()).map((link) => link.dataset.position);

export const show = (key) => {
  const shown = row(key).closest("[data-station-box]");
  boxes().forEach((box) => { box.hidden = box !== shown; });
  walk().dataset.at = key;
  markInHand();
  history.replaceState(null, "", `/jobs/${walk().dataset.job}/look-over?at=${encodeURIComponent(key)}`);
};

// On the ribbon: the place, and its station.
export const markInHand = () => {
  all("a[data-position]", ribbon()).forEach((link) => {
    if (link.dataset.position === walk().dataset.at) link.setAttribute("aria-current", "true");
    else link.removeAttribute("aria-current");
  });
  const link = all('[aria-current="true"]', ribbon()).find((place) => place.checkVisibility());
  if (link && ribbon().scrollHeight > ribbon().clientHeight) keepInSight(link);
  const station = boxes().find((box) => !box.hidden).dataset.stationBox;
  all(".station", ribbon()).forEach((part) => part.classList.toggle("station-in-hand", part.dataset.station === station));
};

// Within the ribbon alone: the page stays where it is.
const keepInSight = (link) => {
  const above = link.getBoundingClientRect().top - ribbon().getBoundingClientRect().top;
  if (above < 0 || above > ribbon().clientHeight * 0.7) ribbon().scrollTop += above - ribbon().clientHeight / 3;
};

export const go = (key) => {
  const place = key && row(key);
  if (!place) return;
  show(key);
  place.focus({ preventScroll: true });
  const box = place.getBoundingClientRect();
  if (box.top < ribbon().getBoundingClientRect().bottom || box.bottom > innerHeight) place.scrollIntoView({ block: "center" });
};

export const step = (from, by) => {
  const keys = keysInOrder();
  const next = keys.indexOf(from) + by;
  if (next < keys.length) go(keys[next]);
  else first("#finish:not(:disabled), #outcome .btn-act")?.focus();
};

export const stepStation = (from, by) => {
  const here = all("[data-row]", row(from).closest("[data-station-box]")).map((place) => place.dataset.row);
  const keys = keysInOrder();
  go(by > 0 ? keys[keys.indexOf(here.at(-1)) + 1] : keys[keys.indexOf(here[0]) - 1]);
};
