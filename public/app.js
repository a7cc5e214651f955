// Upright Bench: keys, lists, and the few things a page does by itself. The look-over has its own script beside this.
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
    if (event.key === "Enter" && event.target.closest("a, button, summary, input, dialog, [tabindex='0']")) return; // it has its own meaning there
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

  document.addEventListener("keydown", (event) => {
    if (event.defaultPrevented || event.isComposing) return;
    if (walkLists(event)) return;
    everywhere(event);
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
