// What a scanner types into a field, code after code: on an order each scan is a piece that came; on a count each is sent at
// once, one after the other, while the next is typed already.
(() => {
  "use strict";

  const field = document.querySelector("#scan");
  const lines = document.querySelector("[data-scan-lines]");
  if (!field || !lines) return;

  const say = (words, wrong) => { const line = document.querySelector("#scanned"); line.textContent = words; line.classList.toggle("stop-word", Boolean(wrong)); };

  const came = (code) => {
    const row = [...lines.querySelectorAll("tr[data-codes]")].find((one) => one.dataset.codes.split(" ").includes(code.toUpperCase()));
    const pieces = row && row.querySelector("input");
    if (!pieces) return say(row ? `All of ${code} came already.` : `${code} is not on this order.`, true);
    pieces.value = String((parseInt(pieces.value, 10) || 0) + 1);
    say(`${row.querySelector("th a").textContent}: ${pieces.value} now`);
  };

  const send = async (code) => {
    try {
      const answer = await fetch(lines.dataset.scanLines, {
        method: "POST", body: new URLSearchParams({ code }),
        headers: { "HX-Request": "true", "X-CSRF-Token": document.querySelector("meta[name=csrf]").content }
      });
      if (answer.status !== 200 && answer.status !== 422) throw new Error(answer.statusText);
      document.querySelector("#lines").innerHTML = await answer.text();
    } catch {
      say(`${code} is not counted: the bench does not answer. Scan it again.`, true);
    }
  };

  let queue = Promise.resolve();
  const take = (code) => { lines.dataset.scanLines ? queue = queue.then(() => send(code)) : came(code); };

  field.addEventListener("keydown", (event) => {
    if (event.key !== "Enter") return;
    event.preventDefault();
    const code = field.value.trim();
    field.value = "";
    if (code !== "") take(code);
  });
})();
