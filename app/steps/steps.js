import { preview } from "../device/api.js";
import { drafts } from "../device/drafts.js";

// The Steps screen: eights typed as lines and understood while typing. The text fields are never replaced.
export const steps = Alpine => {
  Alpine.data("steps", () => ({
    busy: false,
    keys: false,
    sequence: 0,
    timer: null,
    drafted: false,
    older: false,

    init() {
      this.list = this.$refs.eights;
      this.form = this.$root;
      this.recall();
      window.addEventListener("keydown", event => this.anywhere(event));
    },
    rows() {
      return [...this.list.querySelectorAll("[data-eight]")];
    },
    line(row) {
      return row.querySelector("input");
    },

    keep() {
      drafts.keep(this.form, [...new FormData(this.form)].filter(([name]) => name.startsWith("rows[")));
    },
    recall() {
      const kept = drafts.read(this.form);
      if (!kept || kept.fields.length === 0) return;
      if (kept.current) this.fill(kept.fields);
      else this.older = true;
    },
    putBack() {
      this.older = false;
      this.fill(drafts.read(this.form).fields);
    },
    fill(fields) {
      const last = Math.max(...fields.map(([name]) => Number(name.match(/\d+/)[0])));
      while (this.rows().length < last && this.$refs.blank) this.insertAfter(this.rows().at(-1), "");
      fields.forEach(([name, value]) => {
        const field = this.form.elements[name];
        if (field && field.value !== value) {
          field.value = value;
          this.drafted = true;
        }
      });
      if (this.drafted) this.changed();
    },
    forget() {
      drafts.drop(this.form);
      location.reload();
    },
    layer(event) {
      this.form.classList.toggle(`hide-${event.target.value}`, !event.target.checked);
    },

    changed() {
      this.keep();
      clearTimeout(this.timer);
      this.timer = setTimeout(() => this.ask(), 200);
    },
    async ask() {
      const sequence = ++this.sequence;
      const answer = await preview(this.form.dataset.url, this.form, sequence);
      if (answer.standing !== "ok" || sequence !== this.sequence) return;
      this.show(new DOMParser().parseFromString(answer.text, "text/html"));
    },
    show(page) {
      const drawn = [...page.querySelectorAll("body > [data-drawn]")];
      const where = [...page.querySelectorAll("body > [data-where]")];
      if (drawn.length === this.rows().length) {
        this.rows().forEach((row, i) => {
          row.querySelector("[data-drawn]").replaceChildren(...drawn[i].childNodes);
          row.querySelector("[data-where]").replaceChildren(...where[i].childNodes);
        });
      }
      this.form.querySelector("[data-entry]").textContent = page.querySelector("[data-entry]").textContent;
      this.$refs.side.replaceChildren(...page.querySelector("[data-side]").childNodes);
    },

    add() {
      this.insertAfter(this.rows().at(-1), "");
    },
    insertAfter(row, text) {
      if (this.form.elements.version) return row; // a version has the section's eights, no more
      const fresh = this.$refs.blank.content.cloneNode(true).firstElementChild;
      if (row) row.after(fresh);
      else this.list.append(fresh);
      this.number();
      this.line(fresh).value = text;
      this.line(fresh).focus();
      this.changed();
      return fresh;
    },
    number() {
      this.rows().forEach((row, i) => {
        row.querySelector("strong").textContent = i + 1;
        row.querySelectorAll("input").forEach(field => {
          field.name = field.name.replace(/rows\[\d*\]/, `rows[${i + 1}]`);
          if (field.ariaLabel) field.ariaLabel = field.ariaLabel.replace(/Eight \d*/, `Eight ${i + 1}`);
        });
      });
    },

    key(event) {
      const row = event.target.closest("[data-eight]");
      if (!row || event.isComposing) return;
      const all = this.rows();
      const at = all.indexOf(row);
      if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) this.insertAfter(row, "");
      else if (event.key === "Enter" || event.key === "ArrowDown")
        all[at + 1] ? this.line(all[at + 1]).focus() : null;
      else if (event.key === "ArrowUp") all[at - 1] ? this.line(all[at - 1]).focus() : null;
      else return;
      event.preventDefault();
    },
    anywhere(event) {
      if (event.key === "Escape") this.keys = false;
      if (event.key === "?" && !event.target.closest("input, textarea, select")) this.keys = true;
      if (event.key === "s" && (event.ctrlKey || event.metaKey)) {
        event.preventDefault();
        this.form.requestSubmit();
      }
    },
    help() {
      this.keys = !this.keys;
    },

    // A pasted sheet: its first line goes where the caret is, each further line into the next eight.
    paste(event) {
      const row = event.target.closest("[data-eight]");
      const lines = event.clipboardData
        .getData("text")
        .split(/\r?\n/)
        .filter(line => line.trim() !== "");
      if (!row || lines.length < 2) return;
      event.preventDefault();
      let at = row;
      lines.slice(0, 200).forEach((text, i) => {
        const all = this.rows();
        if (i === 0) this.line(at).value += text.trim();
        else if (all[all.indexOf(at) + 1] && this.line(all[all.indexOf(at) + 1]).value === "") {
          at = all[all.indexOf(at) + 1];
          this.line(at).value = text.trim();
        } else at = this.insertAfter(at, text.trim());
      });
      this.changed();
    },
    sent() {
      setTimeout(() => {
        this.busy = true;
      });
    },
  }));
};
