// The look-over: every station is on the page and one is shown. What is entered is kept in this browser until the server
// has answered for it, so that a lost connection or a closed page loses nothing; each save carries a key of its own, so
// that one sent twice is saved once. Every few seconds the page asks what somebody else recorded.
(() => {
  "use strict";

  const ASK_EVERY_MS = 2500;
  const TRY_AGAIN_MS = 1500; // at first; then twice as long each time
  const LONGEST_PAUSE_MS = 60000;
  const $ = (selector, root = document) => root.querySelector(selector);
  const all = (selector, root = document) => [...root.querySelectorAll(selector)];
  const typing = (element) => element.matches("input:not([type=checkbox]):not([type=radio]), textarea, select");
  const walk = () => $("#walk");
  const row = (key) => $(`#row-${CSS.escape(key)}`);
  const order = () => all("#walk-ribbon .ribbon-wide a[data-position]").map((link) => link.dataset.position);

  // ---- Which place is in hand
  const show = (key) => {
    const here = row(key);
    const box = here.closest("[data-station-box]");
    all("[data-station-box]").forEach((one) => { one.hidden = one !== box; });
    mark(key, box.dataset.stationBox);
    walk().dataset.at = key;
    history.replaceState(null, "", `/jobs/${walk().dataset.job}/look-over?at=${encodeURIComponent(key)}`);
  };
  const mark = (key, station) => {
    all("#walk-ribbon a[data-position]").forEach((link) => {
      link.dataset.position === key ? link.setAttribute("aria-current", "true") : link.removeAttribute("aria-current");
    });
    all("#walk-ribbon .station").forEach((one) => one.classList.toggle("station-in-hand", one.dataset.station === station));
  };
  const go = (key) => {
    const here = key && row(key);
    if (!here) return;
    show(key);
    here.focus({ preventScroll: true });
    const at = here.getBoundingClientRect();
    if (at.top < $("#walk-ribbon").getBoundingClientRect().bottom || at.bottom > innerHeight) here.scrollIntoView({ block: "center" });
  };
  const step = (from, by) => {
    const keys = order();
    const next = keys.indexOf(from) + by;
    if (next >= keys.length) return $("#finish:not(:disabled), #outcome .btn-act")?.focus();
    go(keys[next]);
  };
  const stationStep = (from, by) => {
    const here = all("[data-row]", row(from).closest("[data-station-box]")).map((one) => one.dataset.row);
    const keys = order();
    go(by > 0 ? keys[keys.indexOf(here[here.length - 1]) + 1] : keys[keys.indexOf(here[0]) - 1]);
  };

  // ---- What is kept until the server has answered for it
  // An entry goes when the server has said that it was taken, or what is wrong with it (x-entry). Whatever else comes back, it is kept,
  // tried again with growing pauses, and shown.
  const store = () => `upright-bench-walk-${walk().dataset.job}-${walk().dataset.person}`; // nobody sends what another entered
  const load = () => { try { return JSON.parse(localStorage.getItem(store())) || []; } catch { return []; } };
  const keep = (entries) => {
    try { entries.length ? localStorage.setItem(store(), JSON.stringify(entries)) : localStorage.removeItem(store()); } catch { /* a full or forbidden store: the page itself still holds them */ }
    queue = entries;
    warn();
  };
  let queue = [];
  let sending = null;
  let signedOut = false;
  let away = null; // why nothing can be sent just now: no connection, or a server that cannot work
  let failures = 0; // in a row, of any request
  let nextTry = 0;
  let timer = null;

  const pause = (times) => Math.min(TRY_AGAIN_MS * 2 ** (times - 1), LONGEST_PAUSE_MS);
  const stuck = () => queue.filter((one) => one.status);

  const uuid = () => {
    const bytes = crypto.getRandomValues(new Uint8Array(16));
    bytes[6] = (bytes[6] & 15) | 64;
    bytes[8] = (bytes[8] & 63) | 128;
    const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, "0")).join("");
    return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, "$1-$2-$3-$4-$5");
  };

  const counted = (entries) => `${entries.length} ${entries.length === 1 ? "entry is" : "entries are"} kept in this browser`;
  const warn = () => {
    const slip = $("#offline");
    slip.hidden = !(signedOut || away || stuck().length);
    if (slip.hidden) return;
    const kept = queue.length ? ` ${counted(queue)} and sent when it is back. Go on.` : " Go on: what you enter is kept in this browser and sent when it is back.";
    const words = $("#offline-words");
    $("#offline-sign-in").hidden = !signedOut;
    $("#offline-try").hidden = signedOut || !queue.length;
    $("#offline-drop").hidden = signedOut || Boolean(away) || !stuck().length;
    if (signedOut) words.textContent = `You are signed out. ${counted(queue)} and sent once you have signed in and come back here.`;
    else if (away) words.textContent = away + kept;
    else words.textContent = `${counted(stuck())}: the server could not take ${stuck().length === 1 ? "it" : "them"} (error ${stuck()[0].status}). Tried again by itself; load the page again if it stays so.`;
    const seconds = Math.ceil((nextTry - Date.now()) / 1000);
    $("#offline-next").textContent = !signedOut && queue.length && seconds > 1 ? `Next try in ${seconds} s.` : "";
  };
  setInterval(() => { if (walk() && !$("#offline").hidden) warn(); }, 1000);

  const save = (form, submitter) => {
    const fields = new URLSearchParams(new FormData(form));
    if (submitter?.name) fields.set(submitter.name, submitter.value);
    const entry = { path: submitter?.getAttribute("formaction") || form.getAttribute("action"), row: form.dataset.row || null, key: uuid(), fields: [...fields], tries: 0, after: 0 };
    // An entry of this place that is not on its way yet is overtaken by the newer one.
    keep([...queue.filter((one) => one === sending || one.path !== entry.path || !entry.row), entry]);
    pump();
  };

  // The first that may be tried now; an entry waits for an earlier one of its place.
  const due = () => queue.find((one, at) => one.after <= Date.now() && !(one.row && queue.slice(0, at).some((other) => other.row === one.row)));
  const wake = () => {
    clearTimeout(timer);
    if (!queue.length || signedOut) return;
    nextTry = away ? nextTry : Math.min(...queue.map((one) => one.after));
    timer = setTimeout(pump, Math.max(nextTry - Date.now(), 50));
  };

  const pump = async () => {
    if (sending || signedOut) return;
    const entry = due();
    if (!entry) return wake();
    sending = entry;
    const fields = new URLSearchParams(entry.fields);
    fields.set("request_key", entry.key);
    fields.set("since", $("#walk-ribbon").dataset.stamp);
    fields.set("at", walk().dataset.at);
    const answer = await ask(entry.path, { method: "POST", body: fields });
    sending = null;
    if (!answer) return wake();
    if (!answer.headers.get("x-entry")) {
      Object.assign(entry, { tries: entry.tries + 1, after: Date.now() + pause(entry.tries + 1), status: answer.status });
      keep(queue);
      return wake();
    }
    keep(queue.filter((one) => one.key !== entry.key));
    await take(answer, entry);
    pump();
  };

  // The answer, or null while there is none to be had.
  const CANNOT_WORK = { 502: "No connection to the server.", 503: "The server answers, but its database is away.", 504: "No connection to the server.", 429: "The server is busy." };
  const ask = async (path, options = {}) => {
    const headers = { "HX-Request": "true", "X-CSRF-Token": $("meta[name=csrf]").content };
    let answer = null;
    try { answer = await fetch(path, { ...options, headers }); } catch { /* no connection */ }
    if (answer?.status === 401) { signedOut = true; answer = null; }
    else away = answer ? CANNOT_WORK[answer.status] || null : CANNOT_WORK[502];
    if (away) nextTry = Date.now() + pause(++failures);
    else failures = 0;
    warn();
    return away ? null : answer;
  };

  // ---- Showing what came back
  const take = async (answer, sent = null) => {
    if (answer.status === 204) return;
    const html = await answer.text();
    const parts = new DOMParser().parseFromString(html, "text/html");
    if (!$("#walk-ribbon", parts)) return complain(sent, parts);
    all("body > [id]", parts).forEach((part) => part.dataset.row ? takeRow(part, sent) : takePart(part));
    const box = $("[data-station-box]:not([hidden])");
    mark(walk().dataset.at, box.dataset.stationBox);
  };
  const takePart = (part) => {
    const old = document.getElementById(part.id);
    const focused = old?.contains(document.activeElement) ? document.activeElement.id || document.activeElement.dataset.position : null;
    if (old) old.replaceWith(part); else $(".walk-body").before(part);
    if (focused) (document.getElementById(focused) || $(`[data-position="${CSS.escape(focused)}"]`, part))?.focus();
    if (part.id === "said") setTimeout(() => part.remove(), 8000);
  };
  const takeRow = (part, sent) => {
    const old = row(part.dataset.row);
    const mine = sent?.row === part.dataset.row;
    const version = $("[name=version]", part).value;
    const waiting = queue.filter((one) => one.row === part.dataset.row);
    // A newer entry of ours is on its way: it goes by what this one made, and brings its own row.
    if (mine && waiting.length) return waiting.forEach((one) => { one.fields = one.fields.map(([name, value]) => [name, name === "version" ? version : value]); });
    if (!mine && (waiting.length || half(old))) return; // ours is refused as stale when it comes, with both to look at
    const at = document.activeElement;
    const inside = old.contains(at);
    const typed = inside && typing(at) && at.name ? at.value : null;
    const before = mine && at.name ? new URLSearchParams(sent.fields).get(at.name) : null;
    old.replaceWith(part);
    if (!inside) return;
    const again = at === old ? part : document.getElementById(at.id) || part;
    if (typed !== null && typed !== before && again !== part) again.value = typed;
    again.focus();
  };
  // Something was typed here and is not saved yet.
  const half = (form) => all("input", form).some((one) => typing(one) && one.type !== "hidden" && one.value !== one.defaultValue);
  const complain = (sent, parts) => {
    const slip = document.createElement("p");
    slip.className = "slip slip-stop";
    slip.role = "alert";
    slip.textContent = $("main", parts)?.textContent.trim() || "The server could not take this. Load the page again.";
    (sent?.row ? row(sent.row) : $(".walk-body")).prepend(slip);
  };

  const lookAround = async () => {
    if (!document.hidden && !sending && !away && queue.length === stuck().length && walk()) {
      const answer = await ask(`/jobs/${walk().dataset.job}/look-over/changes?since=${$("#walk-ribbon").dataset.stamp}&at=${encodeURIComponent(walk().dataset.at)}`);
      if (answer?.status === 200 && !sending) await take(answer);
    } else if (away && queue.length === 0 && Date.now() >= nextTry) {
      await ask(`/jobs/${walk().dataset.job}/look-over/changes?since=${$("#walk-ribbon").dataset.stamp}`); // to see whether it is back
    }
    setTimeout(lookAround, ASK_EVERY_MS);
  };

  // ---- Hands
  const choose = (scale, digit) => {
    const steps = all("input", scale);
    const one = scale.dataset.scale === "scale" ? steps.find((input) => input.value === digit) : steps[Number(digit) - 1];
    if (!one) return;
    one.focus();
    if (!one.checked) one.click();
  };
  const inRow = (event, form) => {
    const at = event.target;
    const key = form.dataset.row;
    const text = typing(at);
    const scale = at.closest("[data-scale]");
    if (event.key === "ArrowDown") return step(key, 1) || true;
    if (event.key === "ArrowUp") return step(key, -1) || true;
    if (event.key === "ArrowRight" || event.key === "ArrowLeft") return text || scale ? "native" : stationStep(key, event.key === "ArrowRight" ? 1 : -1) || true;
    if (event.key === "Enter") {
      if (at.matches("button, a, summary")) return "native";
      if (at === form) return $(".measures input:not([disabled])", form)?.focus() || true;
      if (at.dataset.unsaved !== undefined) return $("[name=other]", form).click() || true;
      at.blur(); // saves what was typed
      return step(key, 1) || true;
    }
    if (text) return false;
    if (event.key === "f") return $("[data-fine] button", form.closest("[data-station-box]"))?.click() || true;
    if (event.key === "k") { const skip = $("[data-skip]", form); if (skip) { skip.open = true; $("button", skip).focus(); } return true; }
    if (/^[0-9]$/.test(event.key)) { scale ? choose(scale, event.key) : $(`[data-mark="${event.key}"]`, form)?.click(); return true; }
    return false;
  };

  document.addEventListener("keydown", (event) => {
    const form = event.target.closest?.("[data-row]");
    if (!form || event.isComposing || event.ctrlKey || event.metaKey || event.altKey) return;
    const done = inRow(event, form);
    if (done) event.stopImmediatePropagation();
    if (done === true) event.preventDefault();
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
  document.addEventListener("click", (event) => {
    const link = event.target.closest("#walk-ribbon a[data-position], [data-go]");
    if (link && !event.ctrlKey && !event.metaKey) { event.preventDefault(); return go(link.dataset.position || link.dataset.go); }
    const meant = event.target.closest("[data-meant]");
    if (!meant) return;
    const field = document.getElementById(meant.dataset.for);
    field.value = meant.dataset.meant;
    field.focus();
    save(field.form);
  });
  document.addEventListener("focusin", (event) => {
    const form = event.target.closest?.("[data-row]");
    if (form && form.dataset.row !== walk().dataset.at) show(form.dataset.row);
  });
  const tryNow = () => {
    queue.forEach((one) => { one.after = 0; });
    failures = 0;
    pump();
  };
  document.addEventListener("click", (event) => {
    if (event.target.closest("#offline-try")) tryNow();
    if (event.target.closest("#offline-drop")) { keep(queue.filter((one) => !one.status)); location.reload(); }
  });
  window.addEventListener("online", tryNow);

  document.addEventListener("DOMContentLoaded", () => {
    if (!walk()) return;
    keep(load().map((one) => ({ ...one, tries: 0, after: 0, status: undefined })));
    pump();
    if (location.hash === "") go(walk().dataset.at);
    setTimeout(lookAround, ASK_EVERY_MS);
  });
})();
