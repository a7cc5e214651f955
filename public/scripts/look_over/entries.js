// What was entered, kept in this browser until the server has answered for it, so that a lost connection or a closed page
// loses nothing. Each entry carries a key of its own, so that one sent twice is saved once.
import { walk } from "./walk.js";

// Nobody sends what another entered.
const store = () => `upright-bench-walk-${walk().dataset.job}-${walk().dataset.person}`;

let entries = [];
let changed = () => {};

// @param listener called whenever an entry comes or goes
export const onChange = (listener) => { changed = listener; };

export const kept = () => entries;
export const stuck = () => entries.filter((entry) => entry.status);

export const keep = (list) => {
  entries = list;
  try {
    if (list.length) localStorage.setItem(store(), JSON.stringify(list));
    else localStorage.removeItem(store());
  } catch { /* a full or forbidden store: the page itself still holds them */ }
  changed();
};

// What an earlier page left behind.
export const fromBefore = () => {
  let list = [];
  try { list = JSON.parse(localStorage.getItem(store())) || []; } catch { /* nothing that can be read */ }
  keep(list.map((entry) => ({ ...entry, tries: 0, after: 0, status: undefined })));
};

const uuid = () => {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6] & 15) | 64;
  bytes[8] = (bytes[8] & 63) | 128;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, "0")).join("");
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, "$1-$2-$3-$4-$5");
};

// @param underWay the entry that is on its way just now
export const add = (form, submitter, underWay) => {
  const fields = new URLSearchParams(new FormData(form));
  if (submitter?.name) fields.set(submitter.name, submitter.value);
  const path = submitter?.getAttribute("formaction") || form.getAttribute("action");
  const entry = { path, row: form.dataset.row || null, key: uuid(), fields: [...fields], tries: 0, after: 0 };
  // An entry of this place that is not on its way yet is overtaken by the newer one.
  keep([...entries.filter((other) => other === underWay || other.path !== path || !entry.row), entry]);
};

// The first that may be tried now; an entry waits for an earlier one of its place.
export const due = () => entries.find((entry, index) => entry.after <= Date.now() && !waitsForEarlier(entry, index));
const waitsForEarlier = (entry, index) => entry.row && entries.slice(0, index).some((other) => other.row === entry.row);

export const done = (entry) => keep(entries.filter((other) => other.key !== entry.key));
export const ofRow = (key) => entries.filter((entry) => entry.row === key);
export const tryAllNow = () => entries.forEach((entry) => { entry.after = 0; });
export const dropStuck = () => keep(entries.filter((entry) => !entry.status));
