// Small parts used on several screens. Each is an Alpine component; pages work without them.
document.addEventListener("alpine:init", () => {
  const token = () => document.querySelector("meta[name=csrf-token]").content;

  // Puts a link of the spine over its drawing; the numbers come with the page.
  Alpine.data("placed", () => ({
    init() {
      this.$el.style.left = `${Number(this.$el.dataset.x) + 28}px`;
      this.$el.style.width = `${this.$el.dataset.w}px`;
    },
  }));

  // A form that is sent once.
  Alpine.data("busy", () => ({ busy: false, sent() { setTimeout(() => { this.busy = true; }); } }));

  Alpine.data("printing", () => ({ go() { window.print(); } }));

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
      if (this.times.length && now - this.times.at(-1) > 2000) { this.times = []; this.bpm = null; }
      this.times.push(now);
      this.ask();
    },
    async ask() {
      const count = this.times.length;
      const headers = { "Content-Type": "application/json", Accept: "application/json", "X-CSRF-Token": token() };
      const answer = await fetch("/taps", { method: "POST", headers, body: JSON.stringify({ taps: this.times }) }).catch(() => null);
      const body = answer ? await answer.json().catch(() => ({})) : { text: "No connection just now." };
      if (count !== this.times.length) return;
      this.told = body.text;
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
    sequence: 0,
    timer: null,
    init() {
      this.lines = this.$refs.lines;
      const draft = sessionStorage.getItem(this.draftKey());
      if (draft && this.lines.value === "") { this.lines.value = draft; this.ask(); }
    },
    draftKey() { return `draft:${location.pathname}`; },
    changed() {
      sessionStorage.setItem(this.draftKey(), this.lines.value);
      clearTimeout(this.timer);
      this.timer = setTimeout(() => this.ask(), 220);
    },
    sent() {
      sessionStorage.removeItem(this.draftKey());
      setTimeout(() => { this.busy = true; });
    },
    async ask() {
      const sequence = ++this.sequence;
      const body = new FormData(this.$root);
      body.set("sequence", sequence);
      const answer = await fetch(this.$root.dataset.url, { method: "POST", body, headers: { "X-CSRF-Token": token() } }).catch(() => null);
      if (!answer || !answer.ok || sequence !== this.sequence) return;
      this.$refs.preview.innerHTML = await answer.text();
    },
  }));
});
