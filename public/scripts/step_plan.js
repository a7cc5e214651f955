// The drawing of an opening step in a draft: what holds it is set down, moved and taken out by mouse, touch and keys.
// Where it sits is kept in a field of its row, in percent, and sent with the form.
import { all, first } from "./dom.js";

const STEP = 2;
const MOVES = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
const within = (value) => Math.min(100, Math.max(0, Math.round(value)));
const field = (row) => first(`[data-points="${row}"]`);
const read = (row) => field(row).value.split(" ").filter(Boolean).map((pair) => pair.split(",").map(Number));

const keep = (row, points) => {
  field(row).value = points.map((point) => point.map(within).join(",")).join(" ");
  field(row).dispatchEvent(new Event("change", { bubbles: true }));
};

const place = (event, svg) => {
  const box = svg.getBoundingClientRect();
  return [((event.clientX - box.left) / box.width) * 100, ((event.clientY - box.top) / box.height) * 100];
};

// A row holds as many as it says; the first with room takes the next.
const withRoom = () => all("[data-points]").map((input) => input.dataset.points).find((row) => {
  const count = Number(first(`[name="fasteners[${row}][count]"]`).value);
  return count > read(row).length;
});

const draw = (held, [x, y]) => {
  const { width, height } = held.ownerSVGElement.viewBox.baseVal;
  held.setAttribute("transform", `translate(${(width * within(x)) / 100} ${(height * within(y)) / 100})`);
};

let moving = null;

document.addEventListener("pointerdown", (event) => {
  const held = event.target.closest("[data-step-plan] [data-row]");
  if (!held) return;
  event.preventDefault();
  held.focus();
  moving = { held, at: null };
  held.setPointerCapture(event.pointerId);
});

document.addEventListener("pointermove", (event) => {
  if (!moving) return;
  moving.at = place(event, moving.held.ownerSVGElement);
  draw(moving.held, moving.at);
});

document.addEventListener("pointerup", () => {
  if (moving?.at) change(moving.held, () => moving.at);
  moving = null;
});

document.addEventListener("click", (event) => {
  const svg = event.target.closest("[data-step-plan] svg");
  if (!svg || event.target.closest("[data-row]")) return;
  const row = withRoom();
  if (row !== undefined) keep(row, [...read(row), place(event, svg)]);
});

const change = (held, how) => {
  const { row, index } = held.dataset;
  const points = read(row);
  const next = how(points[index]);
  keep(row, next ? points.with(Number(index), next) : points.toSpliced(Number(index), 1));
};

document.addEventListener("keydown", (event) => {
  const held = event.target.closest("[data-step-plan] [data-row]");
  if (!held) return;
  const move = MOVES[event.key];
  if (!move && event.key !== "Delete") return;
  event.preventDefault();
  event.stopImmediatePropagation();
  const far = event.shiftKey ? STEP * 5 : STEP;
  change(held, (point) => move && [point[0] + move[0] * far, point[1] + move[1] * far]);
}, true);
