// What a scanner types into a field, code after code: on an order each scan is a piece that came; on a count each is sent at
// once, one after the other, while the next is typed already.
import { all, first, send } from "./dom.js";

const field = first("#scan");
const lines = first("[data-scan-lines]");

const say = (words, wrong = false) => {
  const line = first("#scanned");
  line.textContent = words;
  line.classList.toggle("stop-word", wrong);
};

const countPiece = (code) => {
  const row = all("tr[data-codes]", lines).find((line) => line.dataset.codes.split(" ").includes(code.toUpperCase()));
  const pieces = row && first("input", row);
  if (!row) return say(`${code} is not on this order.`, true);
  if (!pieces) return say(`All of ${code} came already.`, true);
  pieces.value = String((parseInt(pieces.value, 10) || 0) + 1);
  say(`${first("th a", row).textContent}: ${pieces.value} now`);
};

const sendScan = async (code) => {
  try {
    const answer = await send(lines.dataset.scanLines, { method: "POST", body: new URLSearchParams({ code }) });
    if (answer.status !== 200 && answer.status !== 422) throw new Error(answer.statusText);
    first("#lines").innerHTML = await answer.text();
  } catch {
    say(`${code} is not counted: no answer from the server. Scan it again.`, true);
  }
};

let earlier = Promise.resolve();
const take = (code) => {
  if (lines.dataset.scanLines) earlier = earlier.then(() => sendScan(code));
  else countPiece(code);
};

field?.addEventListener("keydown", (event) => {
  if (event.key !== "Enter") return;
  event.preventDefault();
  const code = field.value.trim();
  field.value = "";
  if (code !== "") take(code);
});
