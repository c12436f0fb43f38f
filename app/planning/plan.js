// The build: slots dragged to another rehearsal or moved by arrow keys, with the verdict at once; pinned; and the
// search.
document.addEventListener("alpine:init", () => {
  const headers = () => ({
    "Content-Type": "application/json",
    Accept: "application/json",
    "X-CSRF-Token": document.querySelector("meta[name=csrf-token]").content,
  });

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
      const answer = await fetch(`${this.$root.dataset.move}${slot.dataset.slot}/move`, {
        method: "POST",
        headers: headers(),
        body: JSON.stringify({ rehearsal: column.dataset.column }),
      }).catch(() => null);
      const said = answer ? await answer.json().catch(() => ({})) : { base: "No connection just now." };
      if (said.moved) location.reload();
      else this.told = said.base || "That could not be moved.";
    },
    async pin(slot) {
      const answer = await fetch(`${this.$root.dataset.move}${slot.dataset.slot}/pin`, {
        method: "POST",
        headers: headers(),
        body: JSON.stringify({ to: slot.classList.contains("pinned") ? "no" : "yes" }),
      }).catch(() => null);
      if (!answer || !answer.ok) {
        this.told = "That could not be pinned.";
        return;
      }
      const said = await answer.json();
      slot.classList.toggle("pinned", said.pinned);
      this.told = said.pinned ? "Pinned: it stays here when you plan again." : "No longer pinned.";
    },
  }));

  // How far something is that the worker was asked for; the page is loaded anew when it is there.
  Alpine.data("workedOut", () => ({
    init() {
      this.ask();
    },
    async ask() {
      const answer = await fetch(this.$root.dataset.url, { headers: { Accept: "application/json" } }).catch(
        () => null,
      );
      const said = answer && answer.ok ? await answer.json() : {};
      this.$refs.bar.value = Math.max(said.share || 0, 0.05);
      if (["done", "stopped"].includes(said.state)) {
        location.reload();
        return;
      }
      turn(this.$root, said);
      setTimeout(() => this.ask(), 400);
    },
  }));

  // How the search for a better plan goes; the page is loaded anew when it has found one.
  Alpine.data("search", () => ({
    told: "looking for a better one",
    init() {
      this.ask();
    },
    async ask() {
      const answer = await fetch(this.$root.dataset.url, { headers: { Accept: "application/json" } }).catch(
        () => null,
      );
      const said = answer && answer.ok ? await answer.json() : {};
      this.$refs.bar.value = Math.max(said.share || 0, 0.05);
      if (said.state === "done") {
        if (said.better) {
          location.reload();
          return;
        }
        this.told = "nothing better found";
        return;
      }
      this.told = said.place ? waiting(said) : "looking for a better one";
      setTimeout(() => this.ask(), 1500);
    },
  }));
});
