// Sends the entries one after the other, and says when they cannot be sent. An entry goes when the server has said that it was
// taken, or what is wrong with it (x-entry). Whatever else comes back, it is kept and tried again with growing pauses.
import { first, send } from "../dom.js";
import * as entries from "./entries.js";
import { take } from "./answers.js";
import { ribbon, walk } from "./walk.js";

const ASK_EVERY_MS = 2500;
const TRY_AGAIN_MS = 1500; // at first; then twice as long each time
const LONGEST_PAUSE_MS = 60000;
const NO_CONNECTION = "No connection to the server.";
const CANNOT_WORK = {
  502: NO_CONNECTION, 503: "The server answers, but its database is away.", 504: NO_CONNECTION, 429: "The server is busy."
};

let sending = null; // the entry that is on its way
let signedOut = false;
let away = null; // why nothing can be sent just now
let failures = 0; // in a row, of any request
let nextTry = 0;
let timer = null;

const pause = (times) => Math.min(TRY_AGAIN_MS * 2 ** (times - 1), LONGEST_PAUSE_MS);

// ---- What is said about it
const counted = (list) => `${list.length} ${list.length === 1 ? "entry is" : "entries are"} kept in this browser`;

const words = () => {
  const waiting = entries.kept();
  if (signedOut) return `You are signed out. ${counted(waiting)} and sent once you have signed in and come back here.`;
  if (away && waiting.length) return `${away} ${counted(waiting)} and sent when it is back. Go on.`;
  if (away) return `${away} Go on: what you enter is kept in this browser and sent when it is back.`;
  const stuck = entries.stuck();
  return `${counted(stuck)}: the server could not take ${stuck.length === 1 ? "it" : "them"} (error ${stuck[0].status}). ` +
    "It is tried again by itself. Load the page again if this goes on.";
};

const warn = () => {
  const slip = first("#offline");
  const stuck = entries.stuck().length > 0;
  const waiting = entries.kept().length > 0;
  slip.hidden = !(signedOut || away || stuck);
  if (slip.hidden) return;
  first("#offline-sign-in").hidden = !signedOut;
  first("#offline-try").hidden = signedOut || !waiting;
  first("#offline-drop").hidden = signedOut || Boolean(away) || !stuck;
  first("#offline-words").textContent = words();
  const seconds = Math.ceil((nextTry - Date.now()) / 1000);
  first("#offline-next").textContent = !signedOut && waiting && seconds > 1 ? `Next try in ${seconds} s.` : "";
};

// ---- Sending
export const save = (form, submitter) => {
  entries.add(form, submitter, sending);
  pump();
};

const wake = () => {
  clearTimeout(timer);
  const waiting = entries.kept();
  if (!waiting.length || signedOut) return;
  if (!away) nextTry = Math.min(...waiting.map((entry) => entry.after));
  timer = setTimeout(pump, Math.max(nextTry - Date.now(), 50));
};

const pump = async () => {
  if (sending || signedOut) return;
  const entry = entries.due();
  if (!entry) return wake();
  sending = entry;
  const answer = await ask(entry.path, { method: "POST", body: fieldsOf(entry) });
  sending = null;
  if (!answer) return wake();
  if (!answer.headers.get("x-entry")) return putOff(entry, answer.status);
  entries.done(entry);
  await take(answer, entry);
  pump();
};

const fieldsOf = (entry) => {
  const fields = new URLSearchParams(entry.fields);
  fields.set("request_key", entry.key);
  fields.set("since", ribbon().dataset.stamp);
  fields.set("at", walk().dataset.at);
  return fields;
};

const putOff = (entry, status) => {
  const tries = entry.tries + 1;
  Object.assign(entry, { tries, status, after: Date.now() + pause(tries) });
  entries.keep(entries.kept());
  wake();
};

// The answer, or null while there is none to be had.
const ask = async (path, options = {}) => {
  let answer = null;
  try { answer = await send(path, options); } catch { /* no connection */ }
  if (answer?.status === 401) {
    signedOut = true;
    answer = null;
  } else {
    away = answer ? CANNOT_WORK[answer.status] || null : NO_CONNECTION;
  }
  failures = away ? failures + 1 : 0;
  if (away) nextTry = Date.now() + pause(failures);
  warn();
  return away ? null : answer;
};

// ---- What somebody else recorded meanwhile
const changesPath = () =>
  `/jobs/${walk().dataset.job}/look-over/changes?since=${ribbon().dataset.stamp}&at=${encodeURIComponent(walk().dataset.at)}`;

const lookAround = async () => {
  const nothingWaits = entries.kept().length === entries.stuck().length;
  if (!document.hidden && !sending && !away && nothingWaits) {
    const answer = await ask(changesPath());
    if (answer?.status === 200 && !sending) await take(answer);
  } else if (away && entries.kept().length === 0 && Date.now() >= nextTry) {
    await ask(changesPath()); // to see whether it is back
  }
  setTimeout(lookAround, ASK_EVERY_MS);
};

const tryNow = () => {
  entries.tryAllNow();
  failures = 0;
  pump();
};

export const connect = () => {
  entries.onChange(warn);
  entries.fromBefore();
  pump();
  setTimeout(lookAround, ASK_EVERY_MS);
  setInterval(() => { if (!first("#offline").hidden) warn(); }, 1000);
  window.addEventListener("online", tryNow);
  document.addEventListener("click", (event) => {
    if (event.target.closest("#offline-try")) tryNow();
    if (event.target.closest("#offline-drop")) {
      entries.dropStuck();
      location.reload();
    }
  });
};
