// Lists that are walked with the arrow keys: search results, the bench, tables.
import { all, first } from "./dom.js";

const STOPS = "li > a, li > button, th > a";
const inSight = (element) => element.checkVisibility(); // not in a part that is folded away
const stops = (list) => all(STOPS, list).filter(inSight);

const stepFrom = (list, element, by) => {
  const places = stops(list);
  return places[places.indexOf(element.closest(STOPS)) + by];
};

// @returns whether the key was for a list
export const walkLists = (event) => {
  if (!["ArrowDown", "ArrowUp"].includes(event.key)) return false;
  const down = event.key === "ArrowDown";
  const field = event.target.closest("[data-walk-from]");
  const list = field ? first(`${field.dataset.walkFrom} [data-walk]`) : event.target.closest("[data-walk]");
  if (!list) return enterFirstList(event);
  event.preventDefault();
  const next = stepFrom(list, event.target, down ? 1 : -1);
  if (next) next.focus();
  else if (!field && !down) first(`[data-walk-from="#${CSS.escape(list.parentElement.id)}"]`)?.focus();
  return true;
};

const enterFirstList = (event) => {
  const list = event.target === document.body && first("[data-walk]");
  if (!list) return false;
  event.preventDefault();
  stops(list)[0]?.focus();
  return true;
};
