// Notes: one tap and type (or speak, with the keyboard's own microphone). Where it came up is kept with it.
export const Notes = {
  KINDS: { fix: "fix", praise: "praise", question: "question", promise: "I come back to this" },
  noting: { kind: "fix", about: "section", text: "", person: "", group: "" },
  place: "",
  parked: [],
  abouts: [],

  beginNote() {
    this.noting = { kind: "fix", about: this.aboutSlot(), text: "", person: "", group: "" };
    this.$nextTick(() => this.$refs.note && this.$refs.note.focus());
  },
  aboutSlot() {
    if (this.slot.kind === "join") return "join";
    return this.slot.section ? "section" : "piece";
  },
  drawNotes() {
    const own = this.aboutSlot();
    const first = { section: "this section", join: "this join", piece: "the piece" }[own];
    const all = [[own, first], ["person", "somebody"], ["group", "a group"], ["piece", "the piece"]];
    this.abouts = all.filter(([name], i) => i === 0 || name !== own).map(([name, word]) => ({ name, word }));
    this.place = this.placeNow();
    this.parked = this.view.notes.map(note => ({ ...note, word: this.KINDS[note.kind] }));
  },
  // "Smoke, eight 3, count 5": where the caller was last.
  placeNow() {
    const at = this.last;
    if (!at || !at.link) return this.slot.title;
    const { n, o, of } = at.link;
    const name = of > 1 ? `${n} (${o} of ${of})` : n;
    return `${name}, eight ${at.eight}, count ${at.called}`;
  },

  pickKind(kind) {
    this.noting.kind = kind;
  },
  pickAbout(name) {
    this.noting.about = name;
  },
  keepNote() {
    const { kind, about, text, person, group } = this.noting;
    if (!text.trim()) {
      this.told = "Say what the note is first.";
      return;
    }
    const at = this.last && this.last.link ? this.last : null;
    const where = at ? { link: at.link.i, row: at.eight, twelfths: (at.place || 0) * 12 } : { link: this.slot.from };
    const more = { slot: this.slot.id, note: kind, about, text: text.trim(), section: this.slot.section, ...where };
    if (this.view.run) more.run = this.view.run.client;
    if (about === "person") more.person = person;
    if (about === "group") more.group = group;
    this.say("note", more, "Noted");
    this.panel = "";
  },
  answered(note) {
    this.say("answer", { of: note.key }, "Done", { note: note.key });
  },
};
