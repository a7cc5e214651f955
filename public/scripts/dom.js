// What every script of a page needs: selecting, and sending with the form token.
export const first = (selector, root = document) => root.querySelector(selector);
export const all = (selector, root = document) => [...root.querySelectorAll(selector)];

// Somebody writes in it, so letters and arrows belong to it.
export const typing = (element) =>
  element.matches("input:not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable]");

export const formToken = () => first("meta[name=csrf]").content;

// As htmx sends: the server answers with a part of a page.
export const send = (path, options = {}) =>
  fetch(path, { ...options, headers: { "HX-Request": "true", "X-CSRF-Token": formToken() } });
