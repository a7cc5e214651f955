// Upright Bench: keys, the walk, and the few things a page does by itself. No page needs more than this file.
(() => {
  "use strict";

  const $ = (selector, root = document) => root.querySelector(selector);
  const all = (selector, root = document) => [...root.querySelectorAll(selector)];
  const typing = (element) => element.matches("input:not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable]");

  document.addEventListener("htmx:config:request", (event) => {
    event.detail.ctx.request.headers["X-CSRF-Token"] = $("meta[name=csrf]").content;
  });

  // ---- Keys that work on every screen
  const keys = $("#keys");
  const showKeys = () => keys && !keys.open && keys.showModal();
  document.addEventListener("click", (event) => { if (event.target.closest("[data-keys-open]")) showKeys(); });

  const everywhere = (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target) || (keys && keys.open)) return;
    if (event.key === "/") { event.preventDefault(); $("#find")?.focus(); return; }
    if (event.key === "?") { event.preventDefault(); showKeys(); return; }
    $(`[data-jump="${CSS.escape(event.key)}"]`)?.click();
  };

  // ---- Lists that are walked with the arrow keys: found customers, the bench
  const walkLists = (event) => {
    if (!["ArrowDown", "ArrowUp"].includes(event.key)) return false;
    const field = event.target.closest("[data-walk-from]");
    const list = field ? $(`${field.dataset.walkFrom} [data-walk]`) : event.target.closest("[data-walk]");
    if (!list) return $("[data-walk]") && event.target === document.body && focusFirst($("[data-walk]"), event);
    const links = all("li > a", list);
    const next = links[links.indexOf(event.target.closest("a")) + (event.key === "ArrowDown" ? 1 : -1)];
    event.preventDefault();
    next ? next.focus() : field || event.key === "ArrowDown" || $(`[data-walk-from]`)?.focus();
    return true;
  };
  const focusFirst = (list, event) => { event.preventDefault(); $("li > a", list)?.focus(); return true; };

  // ---- The look-over
  let saving = 0;       // requests under way: the walk waits for them, so that no answer overtakes another
  let wanted = null;    // the place to go on to
  document.addEventListener("htmx:before:request", () => { saving += 1; });
  document.addEventListener("htmx:finally:request", () => {
    saving -= 1;
    if (wanted && saving === 0) { const key = wanted; wanted = null; go(key); }
  });
  document.addEventListener("htmx:after:swap", (event) => {
    const walk = $("#walk");
    if (walk && event.detail.ctx.target?.id === "walk") focusRow(walk.dataset.at);
  });

  const walkOrder = () => all("#walk-ribbon .ribbon-wide a[data-position]").map((link) => link.dataset.position);
  const focusRow = (key) => { const row = $(`#row-${CSS.escape(key)}`); row?.focus(); row?.scrollIntoView({ block: "nearest" }); };

  const go = (key) => {
    if (!key) return;
    if ($(`#row-${CSS.escape(key)}`)) return focusRow(key);
    if (saving > 0) { wanted = key; return; }
    const path = `/jobs/${$("#walk").dataset.job}/look-over?at=${encodeURIComponent(key)}`;
    htmx.ajax("GET", path, { target: "#walk", swap: "outerHTML", push: path });
  };

  const step = (row, by) => {
    const order = walkOrder();
    const here = order.indexOf(row.dataset.row);
    if (here + by >= order.length) return $("#finish, #outcome .btn-act")?.focus();
    go(order[here + by]);
  };
  const stationStep = (row, by) => {
    const rows = all("[data-row]").map((one) => one.dataset.row);
    const order = walkOrder();
    go(by > 0 ? order[order.indexOf(rows[rows.length - 1]) + 1] : order[order.indexOf(rows[0]) - 1]);
  };

  const choose = (scale, digit) => {
    const steps = all("input", scale);
    const one = scale.dataset.scale === "scale" ? steps.find((input) => input.value === digit) : steps[Number(digit) - 1];
    if (!one) return;
    one.focus();
    if (!one.checked) one.click();
  };

  const inRow = (event, row) => {
    const at = event.target;
    const text = typing(at);
    const scale = at.closest("[data-scale]");
    const done = () => { event.preventDefault(); return true; };
    switch (event.key) {
      case "ArrowDown": step(row, 1); return done();
      case "ArrowUp": step(row, -1); return done();
      case "ArrowRight": if (text || scale) return true; stationStep(row, 1); return done();
      case "ArrowLeft": if (text || scale) return true; stationStep(row, -1); return done();
      case "Enter":
        if (at.matches("button, a, summary")) return true;
        if (at === row) { $(".measures input:not([disabled])", row)?.focus(); return done(); }
        at.blur(); // saves what was typed
        step(row, 1);
        return done();
    }
    if (/^[0-9]$/.test(event.key) && !text) {
      scale ? choose(scale, event.key) : $(`[data-mark="${event.key}"]`, row)?.click();
      return done();
    }
    return false;
  };

  document.addEventListener("keydown", (event) => {
    if (event.defaultPrevented || event.isComposing) return;
    const row = event.target.closest?.("[data-row]");
    if (row && !event.ctrlKey && !event.metaKey && !event.altKey && inRow(event, row)) return;
    if (walkLists(event)) return;
    everywhere(event);
  });

  // On a ribbon a place of the open station is a jump, not a load.
  document.addEventListener("click", (event) => {
    const link = event.target.closest("#walk-ribbon a[data-position]");
    if (!link || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    go(link.dataset.position);
  });

  document.addEventListener("DOMContentLoaded", () => {
    const walk = $("#walk");
    if (walk) focusRow(walk.dataset.at);
  });

  // ---- Take in: what is often heard, as picks that write the complaint
  document.addEventListener("alpine:init", () => {
    Alpine.data("complaint", () => ({
      words: "",
      init() { this.read(); },
      read() { this.words = this.$refs.words.value; },
      list() { return this.words.split(",").map((word) => word.trim()).filter((word) => word !== ""); },
      has(button) { return this.list().includes(button.dataset.words); },
      toggle(event) {
        const word = event.currentTarget.dataset.words;
        const list = this.list();
        this.words = (list.includes(word) ? list.filter((one) => one !== word) : [...list, word]).join(", ");
        this.$refs.words.value = this.words;
      }
    }));
  });
})();
