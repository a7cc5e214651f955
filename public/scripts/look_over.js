// The look-over: what is entered is saved at once, place by place, and two people may walk the same machine.
import { connect, save } from "./look_over/connection.js";
import { inRow } from "./look_over/hands.js";
import { go, show, walk } from "./look_over/walk.js";

document.addEventListener("keydown", (event) => {
  const form = event.target.closest?.("[data-row]");
  if (!form || event.isComposing || event.ctrlKey || event.metaKey || event.altKey) return;
  const answer = inRow(event, form);
  if (answer) event.stopImmediatePropagation();
  if (answer === "done") event.preventDefault();
}, true);

document.addEventListener("change", (event) => {
  const form = event.target.closest("[data-row]");
  if (form && event.target.dataset.unsaved === undefined) save(form);
});

document.addEventListener("submit", (event) => {
  if (!event.target.matches("[data-row], [data-fine]")) return;
  event.preventDefault();
  save(event.target, event.submitter);
});

const follow = (event) => {
  const link = event.target.closest("#walk-ribbon a[data-position], [data-go]");
  if (!link || event.ctrlKey || event.metaKey) return false;
  event.preventDefault();
  go(link.dataset.position || link.dataset.go);
  return true;
};

// "Did you mean 4 mm?"
const takeMeant = (event) => {
  const meant = event.target.closest("[data-meant]");
  if (!meant) return;
  const field = document.getElementById(meant.dataset.for);
  field.value = meant.dataset.meant;
  field.focus();
  save(field.form);
};

document.addEventListener("click", (event) => { if (!follow(event)) takeMeant(event); });

document.addEventListener("focusin", (event) => {
  const form = event.target.closest?.("[data-row]");
  if (form && form.dataset.row !== walk().dataset.at) show(form.dataset.row);
});

if (walk()) {
  connect();
  if (location.hash === "") go(walk().dataset.at);
}
