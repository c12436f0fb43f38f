import { preview, send } from "./api.js";
import { drafts } from "./drafts.js";

// Small parts used on several screens. Each is an Alpine component; pages work without them.
export const parts = Alpine => {
  // Puts a link of the spine over its drawing; the numbers come with the page.
  Alpine.data("placed", () => ({
    init() {
      this.$el.style.left = `${Number(this.$el.dataset.x) + 28}px`;
      this.$el.style.width = `${this.$el.dataset.w}px`;
    },
  }));

  // Something laid out to length; the numbers come with the page.
  Alpine.data("spanned", () => ({
    init() {
      this.$el.style.left = `${this.$el.dataset.x}px`;
      if (this.$el.dataset.w) this.$el.style.width = `${this.$el.dataset.w}px`;
    },
  }));

  // A share-out's cuts: dragged to the end of a section, or moved with the arrow keys. The page is asked again.
  Alpine.data("cuts", () => ({
    init() {
      this.box = this.$root; // the handles are components of their own, and have their own root
      this.edges = this.$root.dataset.edges.split(" ").map(Number);
      this.places = this.$root.dataset.cuts.split("-").map(Number);
    },
    nudge(event) {
      const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
      if (!by) return;
      event.preventDefault();
      this.move(event.currentTarget, this.places[Number(event.currentTarget.dataset.cut)] + by);
    },
    grab(event) {
      const handle = event.currentTarget;
      const left = this.box.getBoundingClientRect().left;
      handle.setPointerCapture(event.pointerId);
      const nearest = x =>
        this.edges.reduce(
          (best, edge, i) => (Math.abs(edge - x) < Math.abs(this.edges[best] - x) ? i : best),
          0,
        );
      handle.onpointermove = moved => {
        handle.style.left = `${moved.clientX - left}px`;
      };
      handle.onpointerup = up => {
        handle.onpointermove = null;
        handle.onpointerup = null;
        this.move(handle, nearest(up.clientX - left));
      };
    },
    move(handle, place) {
      const cut = Number(handle.dataset.cut);
      const low = this.places[cut - 1] + 1;
      const high = (this.places[cut + 1] || this.edges.length - 1) - 1;
      const cuts = [...this.places];
      cuts[cut] = Math.min(Math.max(place, low), high);
      if (cuts[cut] === this.places[cut]) {
        handle.style.left = `${handle.dataset.x}px`;
        return;
      }
      location.assign(`?${this.box.dataset.more}&cuts=${cuts.join("-")}&by=${this.box.dataset.by}`);
    },
  }));

  // A form that is sent once.
  Alpine.data("busy", () => ({
    busy: false,
    sent() {
      setTimeout(() => {
        this.busy = true;
      });
    },
  }));

  // A row of ways that may be wider than the screen: the one that is shown stands where it is seen.
  Alpine.data("inSight", () => ({
    init() {
      const shown = this.$root.querySelector("[aria-current]");
      if (shown) this.$root.scrollLeft = shown.offsetLeft - 40;
    },
  }));

  // A form of choices that shows at once what is chosen; its button is for those without scripts.
  Alpine.data("sending", () => ({
    init() {
      this.$refs.go.hidden = true;
    },
    send() {
      this.$root.requestSubmit();
    },
  }));

  // A tempo from taps. After a rest of two seconds the next tap begins anew.
  Alpine.data("taps", () => ({
    told: "Eight taps or more, with the button or any key on it.",
    bpm: null,
    times: [],
    key(event) {
      if (["Tab", "Shift", "Control", "Alt", "Meta", "Escape"].includes(event.key) || event.repeat) return;
      event.preventDefault();
      this.tap(event);
    },
    tap(event) {
      const now = event.timeStamp;
      if (this.times.length && now - this.times.at(-1) > 2000) {
        this.times = [];
        this.bpm = null;
      }
      this.times.push(now);
      this.ask();
    },
    async ask() {
      const count = this.times.length;
      const { standing, body } = await send("/taps", { taps: this.times });
      if (count !== this.times.length) return;
      this.told = standing === "away" ? "No connection just now." : body.text;
      this.bpm = body.bpm || null;
    },
    use() {
      const field = document.getElementById("tempo");
      const lines = field.value.split("\n");
      field.value = [this.bpm, ...lines.slice(1)].join("\n");
      field.focus();
    },
  }));

  // Lines of structure, understood while they are typed. Answers that come late are dropped; drafts survive a reload.
  Alpine.data("structure", () => ({
    busy: false,
    drafted: false,
    older: false,
    sequence: 0,
    timer: null,
    init() {
      this.form = this.$root;
      const kept = drafts.read(this.form);
      if (!kept) return;
      if (kept.current) this.fill(kept.fields);
      else this.older = true;
    },
    fields() {
      const typed = "input:not([type=hidden]):not([type=checkbox]), textarea";
      return [...this.form.querySelectorAll(typed)].map(each => [each.name, each.value]);
    },
    fill(fields) {
      fields.forEach(([name, value]) => {
        const field = this.form.elements[name];
        if (!field || field.value === value) return;
        field.value = value;
        this.drafted = true;
      });
      if (this.drafted) this.ask();
    },
    putBack() {
      this.older = false;
      this.fill(drafts.read(this.form).fields);
    },
    forget() {
      drafts.drop(this.form);
      location.reload();
    },
    changed() {
      drafts.keep(this.form, this.fields());
      clearTimeout(this.timer);
      this.timer = setTimeout(() => this.ask(), 220);
    },
    // Unclear lines as they were meant, each in its place: one tap. From the last on, so that numbers stay.
    answer(event) {
      const field = this.form.elements.structure;
      const lines = field.value.split("\n");
      const meant = Object.entries(JSON.parse(event.currentTarget.dataset.lines));
      meant.sort(([one], [other]) => other - one).forEach(([line, text]) => {
        lines.splice(Number(line) - 1, 1, ...(text === "" ? [] : [text]));
      });
      field.value = lines.join("\n");
      this.changed();
    },
    teachAll(event) {
      event.currentTarget.closest("fieldset").querySelectorAll("input").forEach(each => {
        each.checked = true;
      });
      this.changed();
    },
    // What the list says of the piece comes to its fields, where they are empty.
    takeFacts() {
      const facts = JSON.parse(this.form.querySelector("[data-facts]")?.dataset.facts ?? "{}");
      Object.entries(facts).forEach(([name, value]) => {
        const field = this.form.elements[name];
        if (field && (field.value === "" || field.value === field.dataset.taken)) {
          field.value = value;
          field.dataset.taken = value;
        }
      });
    },
    sent() {
      setTimeout(() => {
        this.busy = true;
      });
    },
    async ask() {
      const sequence = ++this.sequence;
      const answer = await preview(this.form.dataset.url, this.form, sequence);
      if (answer.standing !== "ok" || sequence !== this.sequence) return;
      this.form.querySelector("[x-ref=preview]").innerHTML = answer.text;
      this.takeFacts();
    },
  }));
};
