// Who's here: the register, who is in the building, newcomers and guests.
export const Here = {
  STATES: { present: "here", late: "late", left: "left", marking: "marking", resting: "resting", absent: "absent" },
  brush: "present",
  tiles: [],
  sheet: 0,
  sheets: 1,
  unsaid: 0,
  building: false,
  adding: false,
  inside: [],
  missing: [],
  waited: 0,
  unreached: "",
  newName: "",
  newGroup: "",
  PER_SHEET: 30,
  RING_AT_ONCE: 21,
  ringMore: "",

  stateOf(id) {
    return (this.view.here[id] || [])[0];
  },
  // Whether anything was said of anybody: until then everybody called counts as here.
  begun() {
    return Object.keys(this.view.here).length > 0;
  },
  // Out of the count: not there, or not dancing today.
  out(id) {
    const state = this.stateOf(id);
    return state ? ["absent", "left", "resting"].includes(state) : this.begun() || this.facts.away.includes(id);
  },
  readyAt(id) {
    const ready = (this.view.here[id] || [])[2];
    return ready && ready > this.minute() ? ready : null;
  },
  // Whether a tick for all is theirs.
  dances(id) {
    const state = this.stateOf(id);
    if (!state) return !this.begun() && !this.facts.away.includes(id);
    return ["present", "late"].includes(state) && !this.readyAt(id);
  },

  // Everybody who is meant: those called, and whoever came besides.
  meant() {
    const { here, people } = this.view;
    return people.filter(person => person.dances && (person.called !== null || here[person.id] || person.fresh));
  },
  within(shown) {
    return shown.filter(person => ["present", "late", "marking", "resting"].includes(this.stateOf(person.id)));
  },
  guests() {
    return Object.entries(this.view.guests).filter(([, state]) => state === "present");
  },
  drawHere() {
    const shown = this.meant();
    const [inside, guests] = [this.within(shown), this.guests()];
    const [here, all] = [inside, shown].map(people => people.length + guests.length);
    this.head.here = this.begun() ? `${here} of ${all} here` : "no register yet";
  },
  drawSheet() {
    const shown = this.meant();
    this.unsaid = shown.filter(person => this.notSaid(person)).length;
    this.sheets = Math.max(Math.ceil(shown.length / this.PER_SHEET), 1);
    this.sheet = Math.min(this.sheet, this.sheets - 1);
    const from = this.sheet * this.PER_SHEET;
    this.tiles = shown.slice(from, from + this.PER_SHEET).map(person => this.tileOf(person));
    const names = this.within(shown).map(person => person.name);
    this.inside = [...names, ...this.guests().map(([name]) => `${name} (guest)`)];
    const waited = shown.filter(person => this.waitedFor(person));
    this.waited = waited.length;
    const [ring, others] = [waited.filter(person => person.rings), waited.filter(person => !person.rings)];
    this.missing = ring.slice(0, this.RING_AT_ONCE).map(person => ({
      name: person.name,
      rings: person.rings,
      call: `tel:${person.rings.replace(/[^\d+]/g, "")}`,
      since: this.clockOf(person.called),
    }));
    this.unreached = others.map(person => `${person.name} (${this.clockOf(person.called)})`).join(", ");
    const more = ring.length - this.missing.length;
    this.ringMore = more > 0 ? `and ${more} more with a number: tap first who is here` : "";
  },
  waitedFor(person) {
    return person.called !== null && person.called <= this.minute() && this.notSaid(person);
  },
  notSaid(person) {
    return !this.stateOf(person.id) && !this.facts.away.includes(person.id);
  },
  tileOf(person) {
    const state = this.stateOf(person.id);
    const ready = this.readyAt(person.id);
    const away = !state && this.facts.away.includes(person.id);
    const word = away ? "away today" : state ? this.STATES[state] : "";
    const covered = person.understudies && (away || ["absent", "left", "resting"].includes(state));
    const said = covered ? `${word}, understudy ${person.understudies}` : word;
    return {
      id: person.id,
      name: person.name,
      word: ready ? `warm up first, ready ${this.clockOf(ready)}` : said,
      css: away ? "absent" : state || "unsaid",
    };
  },

  choose(state) {
    this.brush = state;
  },
  tap(id) {
    const before = this.view.here[id] || null;
    const state = this.stateOf(id) === this.brush ? "present" : this.brush;
    const text = `${this.person(id).short}: ${this.STATES[state]}`;
    this.say("here", { person: String(id), state }, text, { person: String(id), before });
  },
  // Everybody of whom nothing was said, and who is not away.
  restHere() {
    const called = this.view.people.filter(person => person.dances && person.called !== null);
    const rest = called.filter(person => this.notSaid(person));
    const undo = rest.map(person => {
      const of = this.say("here", { person: String(person.id), state: "present" }, "");
      return { of, was: "here", person: String(person.id), before: null };
    });
    this.offer(undo, `${rest.length} are here`);
  },
  turn(by) {
    this.sheet = (this.sheet + by + this.sheets) % this.sheets;
    this.draw();
  },

  addNewcomer() {
    const name = this.newName.trim();
    if (!name) return;
    const client = this.say("newcomer", { name, group: this.newGroup || null, slot: this.slot.id }, "");
    this.say("here", { person: `c:${client}`, state: "present" }, `${name} is new, and here`);
    this.closeAdding();
  },
  addGuest() {
    const guest = this.newName.trim();
    if (!guest) return;
    this.say("here", { guest, state: "present" }, `${guest} is here as a guest`);
    this.closeAdding();
  },
  closeAdding() {
    this.newName = "";
    this.adding = false;
    this.draw();
  },
};
