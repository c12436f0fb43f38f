// Ticks for a group with exceptions. Who has what is shown only after a tap: dancers see this screen too.
export const Ticks = {
  ticking: { items: [], rung: 0, off: {}, open: false },
  // More than these are chosen from a list.
  FEW: 4,
  many: false,
  chips: [],
  rungChips: [],
  faces: [],
  tickWord: "",
  // Nothing here is learned: a warm-up, a talk. And whether nobody was said to be here yet.
  nothing: false,
  nobodySaid: false,

  beginTick() {
    this.ticking = { items: this.slot.items.map(item => item.key), rung: this.slot.rung, off: {}, open: false };
  },
  drawTicks() {
    const { items, rung, off, open } = this.ticking;
    this.many = this.slot.items.length > this.FEW;
    this.chips = this.slot.items.map(item => ({ key: item.key, name: item.name, on: items.includes(item.key) }));
    this.nothing = this.slot.items.length === 0;
    const rungs = this.nothing ? [] : this.facts.rungs;
    this.rungChips = rungs.slice(1).map((name, i) => ({ rung: i + 1, name, on: rung === i + 1 }));
    const called = this.slot.people.map(id => this.person(id)).filter(Boolean);
    const people = [...called, ...this.view.people.filter(person => this.uncalled(person))];
    this.faces = people.map(person => this.faceOf(person, off, open));
    this.nobodySaid = !this.nothing && !this.begun();
    this.tickWord = `Tick ${this.ticked().who.length}: ${this.facts.rungs[rung] || ""}`;
  },
  // Cells that a tick is about, and whose they are: of those chosen, whoever learns something that is chosen.
  ticked() {
    const wanted = this.slot.items.filter(item => this.ticking.items.includes(item.key));
    const on = this.faces.filter(face => face.on).map(face => face.id);
    const learns = (item, id) => item.people.includes(id) || this.uncalled(this.person(id));
    const cells = wanted.flatMap(item => on.filter(id => learns(item, id)).map(id => `${id}:${item.key}`));
    return { cells, who: on.filter(id => wanted.some(item => learns(item, id))) };
  },
  faceOf(person, off, open) {
    const can = !["absent", "left"].includes(this.stateOf(person.id));
    const lifted = off[person.id] === undefined ? !this.dances(person.id) : off[person.id];
    const least = Math.min(...this.rungsOf(person.id));
    const why = this.dances(person.id) ? "" : this.tileOf(person).word || "not said yet";
    return {
      id: person.id,
      name: person.short,
      on: can && !lifted,
      can,
      word: why || (open && Number.isFinite(least) ? this.facts.rungs[least] : ""),
    };
  },
  // Somebody who is here though nobody called them today: newcomers above all.
  uncalled(person) {
    return person.dances && person.called === null && this.stateOf(person.id) !== undefined;
  },
  rungsOf(id) {
    return this.slot.items
      .filter(item => this.ticking.items.includes(item.key) && item.people.includes(id))
      .map(item => this.rungOf(id, item.key));
  },

  pickItem(key) {
    const { items } = this.ticking;
    this.ticking.items = items.includes(key) ? items.filter(each => each !== key) : [...items, key];
    this.draw();
  },
  // One of many, or all.
  pickFrom(event) {
    const { value } = event.target;
    this.ticking.items = value === "all" ? this.slot.items.map(item => item.key) : [value];
    this.draw();
  },
  pickRung(rung) {
    this.ticking.rung = rung;
    this.draw();
  },
  lift(face) {
    if (!face.can) return;
    this.ticking.off = { ...this.ticking.off, [face.id]: face.on };
    this.draw();
  },
  showRungs() {
    this.ticking.open = !this.ticking.open;
    this.draw();
  },

  tick() {
    const { cells, who } = this.ticked();
    if (cells.length === 0) {
      this.told = "Nobody to tick: tap who has it.";
      return;
    }
    const { rung } = this.ticking;
    const text = `${who.length} ticked: ${this.facts.rungs[rung]}`;
    this.say("tick", { slot: this.slot.id, cells: cells.join(" "), rung: String(rung) }, text);
    this.panel = "";
  },
};
