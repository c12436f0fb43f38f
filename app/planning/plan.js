import { send } from "../device/api.js";
import { poll } from "../device/poll.js";

// The build: slots dragged to another rehearsal or moved by arrow keys, with the verdict at once; pinned; and the
// search.
export const plan = Alpine => {
  // Long work is done by turns: how many are before this one.
  const waiting = said =>
    said.place === 1 ? "waits its turn: next" : `waits its turn: ${said.place - 1} before it`;
  const turn = (root, said) => {
    const line = root.querySelector("[role=status]");
    line.dataset.working ||= line.textContent;
    const text = said.place ? waiting(said) : line.dataset.working;
    if (line.textContent !== text) line.textContent = text;
  };

  Alpine.data("build", () => ({
    told: "",
    columns() {
      return [...this.$root.querySelectorAll("[data-column]")];
    },
    at(slot) {
      return this.columns().findIndex(column => column.dataset.column === slot.dataset.in);
    },
    key(event) {
      const slot = event.target.closest("[data-slot]");
      if (!slot) return;
      const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
      if (by) {
        event.preventDefault();
        this.move(slot, this.columns()[this.at(slot) + by]);
      }
      if (event.key === "p" || event.key === "P") this.pin(slot);
    },
    down(event) {
      const slot = event.target.closest("[data-slot]");
      if (!slot) return;
      slot.setPointerCapture(event.pointerId);
      slot.focus();
      const from = event.clientX;
      slot.onpointermove = moved => slot.setAttribute("transform", `translate(${moved.clientX - from} 0)`);
      slot.onpointerup = up => {
        slot.onpointermove = null;
        slot.onpointerup = null;
        slot.removeAttribute("transform");
        const target = this.columns().find(column => {
          const box = column.getBoundingClientRect();
          return up.clientX >= box.left && up.clientX < box.right;
        });
        if (target && target.dataset.column !== slot.dataset.in) this.move(slot, target);
      };
    },
    async move(slot, column) {
      if (!column) return;
      const path = `${this.$root.dataset.move}${slot.dataset.slot}/move`;
      const { standing, body } = await send(path, { rehearsal: column.dataset.column });
      if (body.moved) location.reload();
      else this.told = standing === "away" ? "No connection just now." : body.base || "That could not be moved.";
    },
    async pin(slot) {
      const to = slot.classList.contains("pinned") ? "no" : "yes";
      const { standing, body: said } = await send(`${this.$root.dataset.move}${slot.dataset.slot}/pin`, { to });
      if (standing !== "ok") {
        this.told = "That could not be pinned.";
        return;
      }
      slot.classList.toggle("pinned", said.pinned);
      this.told = said.pinned ? "Pinned: it stays here when you plan again." : "No longer pinned.";
    },
  }));

  // How far something is that the worker was asked for; the page is loaded anew when it is there.
  Alpine.data("workedOut", () => ({
    init() {
      const { root, refs } = { root: this.$root, refs: this.$refs };
      const out = text => {
        root.querySelector("[role=status]").textContent = text;
      };
      poll(root.dataset.url, 400, said => {
        refs.bar.value = Math.max(said.share || 0, 0.05);
        if (["done", "stopped"].includes(said.state)) return location.reload() || true;
        turn(root, said);
        return false;
      }, out);
    },
  }));

  // How the search for a better plan goes; the page is loaded anew when it has found one.
  Alpine.data("search", () => ({
    told: "looking for a better one",
    init() {
      poll(this.$root.dataset.url, 1500, said => this.hear(said), text => {
        this.told = text;
      });
    },
    // Whether that was all.
    hear(said) {
      this.$refs.bar.value = Math.max(said.share || 0, 0.05);
      const done = said.state === "done";
      if (done && said.better) location.reload();
      else if (done) this.told = "nothing better found";
      else this.told = said.place ? waiting(said) : "looking for a better one";
      return done;
    },
  }));
};
