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
