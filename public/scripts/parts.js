// Small state inside a page, for Alpine: the complaint that is picked or typed, the model that is found by typing, and
// the cards that are ticked.
import { all } from "./dom.js";

// What is often heard, as buttons that write the complaint.
const complaint = () => ({
  words: "",
  init() { this.read(); },
  read() { this.words = this.$refs.words.value; },
  list() { return this.words.split(",").map((word) => word.trim()).filter((word) => word !== ""); },
  has(button) { return this.list().includes(button.dataset.words); },
  toggle(event) {
    const picked = event.currentTarget.dataset.words;
    const said = this.list();
    this.words = (said.includes(picked) ? said.filter((word) => word !== picked) : [...said, picked]).join(", ");
    this.$refs.words.value = this.words;
  }
});

// What is typed is looked up by htmx; here a hit is taken, and what was taken is let go when somebody types again.
const picker = () => ({
  typed() {
    this.$refs.id.value = "";
    this.$refs.title.setAttribute("aria-expanded", "true");
  },
  choose(event) {
    const hit = event.target.closest("button[data-id]");
    if (!hit) return;
    this.$refs.id.value = hit.dataset.id;
    this.$refs.title.value = hit.dataset.title;
    this.$refs.id.dispatchEvent(new Event("change", { bubbles: true })); // what depends on the model follows
    this.close();
    this.$refs.title.focus();
  },
  close() {
    this.$refs.hits.replaceChildren();
    this.$refs.title.setAttribute("aria-expanded", "false");
  }
});

// Who gets a card: the button counts those that are ticked, and those that are not listed.
const ticks = () => ({
  ticked: 0,
  init() { this.count(); },
  boxes() { return all("input[name='customer_ids[]']", this.$root); },
  count() { this.ticked = this.boxes().filter((box) => box.checked).length; },
  words() {
    const cards = this.ticked + Number(this.$refs.send.dataset.more);
    return `${this.$refs.send.dataset.verb} ${cards} ${cards === 1 ? "card" : "cards"}`;
  },
  tick(checked) {
    for (const box of this.boxes()) box.checked = checked;
    this.count();
  },
  tickAll() { this.tick(true); },
  untickAll() { this.tick(false); }
});

document.addEventListener("alpine:init", () => {
  window.Alpine.data("complaint", complaint);
  window.Alpine.data("picker", picker);
  window.Alpine.data("ticks", ticks);
});
