import { Caller } from "./caller.js";

// The evening's clock: what runs, what comes, what an overrun does to the rest, and what would make it fit.
export const Clock = {
  slot: { id: null, title: "", who: "", care: [], watch: [], items: [], people: [] },
  left: { number: "", word: "" },
  have: "",
  once: "",
  over: "",
  far: "",
  cuts: [],
  plan: [],
  following: null,
  minding: { watch: [], care: [], more: "" },

  drawClock() {
    const { lines } = this.view;
    const now = this.minute();
    this.line = lines.find(line => line.state === "running") || lines.find(line => line.state === "ahead");
    this.line = this.line || lines[lines.length - 1];
    this.following = this.next();
    this.slot = this.slotOf(this.line && this.line.slot) || this.slot;
    if (this.slot.id !== this.setFor && !this.calling) this.settings();
    this.minding = this.mind();
    this.far = this.slot.reached ? `· we have up to eight ${this.slot.reached[0]} of ${this.slot.reached[1]}` : "";
    this.left = this.drawLeft(now);
    this.have = this.drawHave();
    this.head.time = this.clockOf(now);
    this.head.until = this.line ? `until ${this.clockOf(this.line.start + this.line.minutes)}` : "";
    this.plan = this.around(lines).map(line => this.planned(line));
    this.drawOver();
    this.drawOnce(now);
  },
  // What was last, what runs and what comes: as much as there is room for.
  ROWS: 9,
  around(lines) {
    const done = lines.filter(line => line.state === "done").length;
    return lines.slice(Math.max(done - 1, 0)).slice(0, this.ROWS);
  },

  // What to watch for and to take care of, as much as there is room for.
  mind() {
    const { watch, care } = this.slot;
    const more = Math.max(watch.length - 4, 0) + Math.max(care.length - 4, 0);
    const word = more > 0 ? `and ${more} more on the call sheet` : "";
    return { watch: watch.slice(0, 4), care: care.slice(0, 4), more: word };
  },
  slotOf(id) {
    return this.facts.slots.find(slot => slot.id === id);
  },
  next() {
    const line = this.view.lines.find(each => each.state === "ahead" && each !== this.line);
    return line ? { id: line.slot, title: this.slotOf(line.slot).title, at: this.clockOf(line.start) } : null;
  },
  drawLeft(now) {
    if (!this.line || this.line.state === "done") return { number: "", word: "the rehearsal is over" };
    if (this.line.state === "ahead") return { number: this.clockOf(this.line.start), word: "begins" };
    const left = Math.ceil(this.line.start + this.line.minutes - now);
    if (left < 0) return { number: String(-left), word: left === -1 ? "minute over" : "minutes over" };
    return { number: String(left), word: left === 1 ? "minute left" : "minutes left" };
  },
  planned(line) {
    const slot = this.slotOf(line.slot);
    const lost = this.outcome() && this.outcome()[2][line.slot];
    return {
      id: line.slot,
      title: slot.title,
      who: slot.who,
      time: line.state === "dropped" ? "" : `${this.clockOf(line.start)} – ${this.clockOf(line.finish)}`,
      state: line.state,
      word: { done: "done", running: "now", ahead: lost ? `loses ${lost} min` : "", dropped: "dropped" }[line.state],
      css: line.state + (lost ? " losing" : ""),
    };
  },

  // Who has what this slot is for, of those who are asked.
  havers() {
    const { items, rung } = this.slot;
    const people = this.slot.people.filter(id => !this.out(id));
    const has = id => items.filter(item => item.people.includes(id)).every(item => this.rungOf(id, item.key) >= rung);
    return { people, have: people.filter(has) };
  },
  rungOf(id, item) {
    return (this.view.cells[item] || {})[id] || 0;
  },
  drawHave() {
    if (this.slot.items.length === 0) return "";
    const { people, have } = this.havers();
    return `${have.length} of ${people.length} have it (${this.facts.rungs[this.slot.rung]})`;
  },

  // What the evening comes to if what runs ends at a minute: looked up in what the server worked out.
  outcome(minute = this.line && this.line.finish) {
    const all = this.line && this.view.facts.outlook[this.line.slot];
    if (!all || this.view.stale) return null;
    return all.find(each => each[0] >= Math.ceil(minute)) || all[all.length - 1];
  },
  falls(off) {
    const all = Object.entries(off).map(([id, lost]) => this.falling(Number(id), lost));
    return all.join(", ");
  },
  falling(id, lost) {
    const line = this.view.lines.find(each => each.slot === id);
    const { title } = this.slotOf(id);
    return line && lost >= line.minutes ? `${title} falls off` : `${title} loses ${lost} min`;
  },
  drawOver() {
    const outcome = this.outcome();
    const off = outcome ? outcome[2] : {};
    this.over = Object.keys(off).length > 0 ? `As it goes, ${this.falls(off)}.` : "";
    const clashing = outcome ? outcome[3].map(id => this.slotOf(id).title) : [];
    if (clashing.length > 0) this.over += ` ${clashing.join(", ")}: some are called elsewhere then.`;
    this.cuts = outcome ? outcome[4].map(cut => this.cutOf(cut)) : [];
  },
  cutOf(cut) {
    const { title } = this.slotOf(cut.slot);
    const other = cut.with && this.slotOf(cut.with).title;
    const words = {
      shorten: `Shorten ${title} to ${cut.minutes} min`,
      drop: `Drop ${title}`,
      swap: `${other} before ${title}`,
    };
    const rest = Object.keys(cut.off).length > 0 ? this.falls(cut.off) : "everything fits";
    return { ...cut, text: words[cut.kind], rest };
  },
  takeCut(cut) {
    this.say("step", { step: cut.kind, slot: cut.slot, minutes: cut.minutes, with: cut.with }, cut.text);
    this.panel = "";
  },

  // Begins a slot; whatever ran until now has ended.
  begin(id) {
    const running = this.view.lines.find(line => line.state === "running" && line.slot !== id);
    const what = [];
    if (running) what.push({ step: "end", slot: running.slot });
    what.push({ step: "begin", slot: id });
    const undo = what.map(each => ({ of: this.say("step", each, ""), was: "step", slot: each.slot }));
    this.offer(undo.reverse(), `${this.slotOf(id).title} begins`);
    this.stopCalling();
    this.panel = "";
    this.draw();
  },
  finish() {
    if (!this.line || this.line.state !== "running") return;
    this.say("step", { step: "end", slot: this.line.slot }, `${this.slot.title} has ended`);
    this.stopCalling();
    this.panel = "";
  },

  // Once more, or move on? Said when the passes that were meant are danced, or four fifths of the time are gone.
  asked: false,
  ask() {
    this.asked = !this.asked;
    this.draw();
  },
  // Written only where it says something else: what is read aloud is not said again every second.
  drawOnce(now) {
    const once = this.onceMore(now);
    if (this.once !== once) this.once = once;
  },
  onceMore(now) {
    if (!this.line || this.line.state !== "running" || this.slot.items.length === 0) return "";
    const used = (now - this.line.start) / Math.max(this.line.minutes, 1);
    const danced = this.view.passes[this.slot.id] || 0;
    if (!this.asked && used < 0.8 && (danced === 0 || danced % this.wanted.loops !== 0)) return "";
    const { people, have } = this.havers();
    const minutes = this.passMinutes(people.length);
    const off = this.outcome(Math.max(now + minutes, this.line.start + this.line.minutes));
    const known = off && (Object.keys(off[2]).length > 0 ? this.falls(off[2]) : "nothing falls off");
    const after = known || "what falls off is not known before there is a network again";
    return `${have.length} of ${people.length} have it. One more pass: ${this.half(minutes)} min; ${after}.`;
  },
  // Minutes of another pass, with its count-in and until everybody is back in place, up to the next half.
  passMinutes(people) {
    const plan = this.score ? Caller.plan(this.score, { ...this.wanted, loops: 1 }) : { seconds: 60 };
    const reset = people > this.facts.reset.small ? this.facts.reset.many : this.facts.reset.few;
    return Math.ceil((plan.seconds + reset) / 30) / 2;
  },
  half(minutes) {
    return minutes % 1 === 0 ? String(minutes) : `${Math.floor(minutes) || ""}½`;
  },
};
