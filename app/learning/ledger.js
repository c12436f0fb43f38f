import { ask, send } from "../device/api.js";
import { key } from "../device/key.js";

// The grid of Who has it: walking, marking a range, ticking with one key or tap, the log behind a cell.
export const ledger = Alpine => {
  Alpine.data("ledger", () => ({
    told: "",
    open: false,
    anchor: null,
    focus: null,
    dragging: false,

    init() {
      this.table = this.$root.querySelector("table.has");
      this.rows = [...this.table.querySelectorAll("tr[data-p]")];
      this.items = [...this.table.querySelectorAll("thead th[data-item]")].map(th => th.dataset.item);
      this.can = this.$root.dataset.can === "true";
      const first = this.table.querySelector("td[data-i]");
      if (first) first.tabIndex = 0;
      this.$root.addEventListener("click", event => this.undo(event));
    },

    at(cell) {
      return { row: this.rows.indexOf(cell.parentNode), column: cell.cellIndex - 1 };
    },
    cell(place) {
      return this.rows[place.row] && this.rows[place.row].cells[place.column + 1];
    },

    mark(from, to) {
      this.anchor = from;
      this.focus = to;
      this.table.querySelectorAll("td.on").forEach(cell => cell.classList.remove("on"));
      this.marked().forEach(cell => cell.classList.add("on"));
      this.table.querySelectorAll("td[tabindex='0']").forEach(cell => {
        cell.tabIndex = -1;
      });
      const cell = this.cell(to);
      cell.tabIndex = 0;
      cell.focus({ preventScroll: false });
    },

    marked() {
      if (!this.focus) return [];
      const [top, bottom] = [this.anchor.row, this.focus.row].sort((a, b) => a - b);
      const [left, right] = [this.anchor.column, this.focus.column].sort((a, b) => a - b);
      return this.rows
        .slice(top, bottom + 1)
        .flatMap(row => [...row.cells].slice(left + 1, right + 2))
        .filter(cell => "i" in cell.dataset);
    },

    down(event) {
      const cell = event.target.closest("td[data-i]");
      if (!cell) return;
      event.preventDefault();
      this.dragging = true;
      const place = this.at(cell);
      this.mark(event.shiftKey && this.anchor ? this.anchor : place, place);
    },
    over(event) {
      const cell = this.dragging && event.target.closest("td[data-i]");
      if (cell) this.mark(this.anchor, this.at(cell));
    },
    up() {
      this.dragging = false;
      if (this.focus && this.marked().length === 1) this.log();
    },

    key(event) {
      const cell = event.target.closest("td[data-i]");
      if (!cell) return;
      const steps = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] };
      if (!this.focus) this.mark(this.at(cell), this.at(cell));
      if (steps[event.key]) this.walk(steps[event.key], event.shiftKey);
      else if (/^[1-5]$/.test(event.key)) this.send(Number(event.key));
      else if (event.key === "Enter") this.log();
      else if (event.key === "Backspace") this.takeBackLast();
      else if (event.key === "Escape") this.close();
      else return;
      event.preventDefault();
    },
    walk([down, right], widen) {
      let next = { row: this.focus.row + down, column: this.focus.column + right };
      while (this.cell(next) && next.column >= 0 && !("i" in this.cell(next).dataset))
        next = { row: next.row + down, column: next.column + right };
      if (!this.cell(next) || next.column < 0) return;
      this.mark(widen ? this.anchor : next, next);
    },

    tick(event) {
      this.send(Number(event.currentTarget.dataset.rung));
    },

    async send(rung) {
      const cells = this.marked();
      if (!this.can) {
        this.told = "This piece is archived; nothing can be ticked.";
        return;
      }
      if (cells.length === 0) {
        this.told = "Mark a cell first.";
        return;
      }
      const names = cells.map(cell => `${cell.parentNode.dataset.p}:${this.items[cell.cellIndex - 1]}`);
      const answer = await this.post(this.$root.dataset.url, {
        cells: [...new Set(names)],
        rung,
        kind: "danced",
        strand: this.$root.dataset.strand,
        client: key(),
      });
      if (answer) {
        this.show(answer.cells);
        this.told = `${answer.cells.length} ticked`;
      }
    },

    async post(url, data) {
      const { standing, body } = await send(url, data);
      if (standing === "signed-out") location.assign("/sign-in");
      if (standing === "away") this.told = "No connection. Nothing was ticked; try again.";
      else if (standing !== "ok") this.told = body.error || "That did not work. Reload the page and try again.";
      return standing === "ok" ? body : null;
    },

    show(states) {
      const rows = Object.fromEntries(this.rows.map(row => [row.dataset.p, row]));
      states.forEach(state =>
        this.items.forEach((item, column) => {
          const cell = item === state.item && rows[state.person] && rows[state.person].cells[column + 1];
          if (!cell) return;
          const keep = ["join", "on"].filter(name => cell.classList.contains(name));
          cell.className = [state.ring, ...keep].join(" ");
          cell.textContent = state.rung;
        }),
      );
      if (this.open) this.log();
    },

    async log() {
      const cell = this.cell(this.focus);
      const query = new URLSearchParams({
        person: cell.parentNode.dataset.p,
        item: this.items[cell.cellIndex - 1],
        strand: this.$root.dataset.strand,
        bare: 1,
      });
      const answer = await ask(`${this.$root.dataset.log}?${query}`, { headers: { Accept: "text/html" } });
      if (answer.standing !== "ok") return;
      this.$refs.log.innerHTML = answer.text;
      this.open = true;
    },
    close() {
      this.open = false;
    },

    async undo(event) {
      const button = event.target.closest("[data-undo]");
      if (!button) return;
      event.preventDefault();
      const answer = await this.post(button.closest("form").action, {});
      if (answer) {
        this.show(answer.cells);
        this.told = "Taken back";
      }
    },
    async takeBackLast() {
      await this.log();
      const button = this.$refs.log.querySelector("[data-undo]");
      if (button) button.click();
    },
  }));
};
