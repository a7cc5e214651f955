// Keys that work on every screen: "/" to the search field, "?" to the list of keys, letters and digits to what they stand beside.
import { first, typing } from "./dom.js";

const help = () => first("#keys");
const showHelp = () => { if (help() && !help().open) help().showModal(); };

const MEANT_BY_ITSELF = "a, button, summary, input, dialog, [tabindex='0']"; // what Enter does there is its own

const withModifier = (event) => event.ctrlKey || event.metaKey || event.altKey;

export const everywhere = (event) => {
  if (withModifier(event) || typing(event.target) || help()?.open) return;
  if (event.key === "/") {
    event.preventDefault();
    first("#find")?.focus();
  } else if (event.key === "?") {
    event.preventDefault();
    showHelp();
  } else if (event.key !== "Enter" || !event.target.closest(MEANT_BY_ITSELF)) {
    first(`[data-jump="${CSS.escape(event.key)}"]`)?.click();
  }
};

document.addEventListener("click", (event) => { if (event.target.closest("[data-keys-open]")) showHelp(); });
