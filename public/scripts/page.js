// On every page of the staff.
import { formToken } from "./dom.js";
import { everywhere } from "./keys.js";
import { walkLists } from "./lists.js";
import "./parts.js";

document.addEventListener("htmx:config:request", (event) => {
  event.detail.ctx.request.headers["X-CSRF-Token"] = formToken();
});

document.addEventListener("keydown", (event) => {
  if (event.defaultPrevented || event.isComposing || walkLists(event)) return;
  everywhere(event);
});
