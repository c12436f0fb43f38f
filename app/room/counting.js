import { Caller } from "./caller.js";
import { Track } from "./track.js";

// Going and stopping: the caller with what it is to count, the big count, the next cue, the groups.
export const Counting = {
  SPEEDS: [50, 60, 70, 80, 90, 100, 110],
  wanted: { from: 1, to: 1, row: 1, speed: 100, loops: 1, rest: 8, countIn: 4, sound: "clicks" },
  flashes: false,
  shakes: false,
  calling: false,
  big: "",
  eight: "",
  cue: "",
  round: "",
  onward: "",
  beats: [],
  lanes: [],
  links: [],
  rows: [],
  drills: [],
  summary: "",
  passed: "",
  hasTrack: false,
  last: null,
  setFor: null,
  flash: false,
  worded: false,

  // What a slot is danced from and to, and how fast: slow where it is still learned.
  settings() {
    const { slot } = this;
    if (slot.id === null) return;
    this.setFor = slot.id;
    this.score = this.facts.scores[slot.piece];
    const slow = slot.rung < 3;
    const [from, speed] = [slot.from || 1, slow ? 60 : 100];
    this.wanted = { ...this.wanted, from, to: slot.to || from, row: 1, toRow: 0, speed };
    this.drills = this.facts.drills.filter(drill => drill.piece === slot.piece);
    this.wanted.countIn = this.score ? this.score.beats : 4;
    this.last = null;
  },

  drawCounting() {
    if (!this.score) return;
    const { from, to, row, speed, loops } = this.wanted;
    this.hasTrack = Boolean(this.score.track);
    this.links = this.score.links.map(link => ({ i: link.i, name: `${link.i} ${link.n}` }));
    const first = this.score.links[from - 1];
    this.rows = first ? Array.from({ length: first.eights }, (_, i) => i + 1) : [];
    const span = from === to ? first && first.n : `${first && first.n} to ${this.score.links[to - 1].n}`;
    const until = this.wanted.toRow ? ` to eight ${this.wanted.toRow}` : "";
    const start = row > 1 || until ? `, from eight ${row}${until}` : "";
    const passes = this.view.passes[this.slot.id] || 0;
    this.summary = `${span}${start} · ${speed} %${loops > 1 ? ` · ${loops} times` : ""}`;
    this.passed = passes === 0 ? "no pass yet" : passes === 1 ? "1 pass" : `${passes} passes`;
    if (!this.calling) this.idle(first);
  },
  idle(first) {
    this.big = "";
    this.eight = "";
    this.cue = "";
    this.round = "";
    this.beats = [];
    this.lanes = [];
    this.onward = (first && first.next) || "";
  },

  set(name, value) {
    this.wanted = { ...this.wanted, [name]: value };
    if (["from", "to", "row"].includes(name)) this.wanted.toRow = 0;
    if (name === "from" && this.wanted.to < value) this.wanted.to = value;
    if (name === "to" && this.wanted.from > value) this.wanted.from = value;
    if (name === "from") this.wanted.row = 1;
    this.draw();
  },
  pick(event) {
    this.set(event.target.dataset.set, Number(event.target.value));
  },
  faster(by) {
    this.set("speed", Math.min(Math.max(this.wanted.speed + by, 30), 130));
  },
  more(name, by) {
    this.set(name, Math.min(Math.max(this.wanted[name] + by, name === "loops" ? 1 : 0), 20));
  },

  async go() {
    if (this.underWay()) {
      if (this.calling) this.stopRun();
      if (this.panel !== "run") this.open("run");
      return;
    }
    if (this.calling) {
      this.stopCalling();
      return;
    }
    if (!this.score) return;
    this.caller = this.caller || this.newCaller();
    this.caller.score = this.score;
    this.panel = "";
    this.caller.track = this.wanted.sound === "track" ? await this.track() : null;
    this.calling = await this.caller.start(this.wanted);
    this.draw();
  },
  newCaller() {
    return new Caller(this.score, {
      shown: event => this.showCount(event),
      passed: (wanted, number) => this.underWay() || this.countPass(wanted, number),
      ended: () => (this.underWay() ? this.runEnded() : this.stopCalling()),
    });
  },
  stopCalling() {
    if (this.caller) this.caller.stop();
    this.calling = false;
    this.draw();
  },
  // The whole file is fetched once and played from the device, so that it goes on without a network.
  async track() {
    const { track } = this.score;
    if (!track) return null;
    const audio = this.$refs.track;
    if (audio.dataset.of === track.url) return this.player;
    const answer = await fetch(track.url).catch(() => null);
    audio.src = answer && answer.ok ? URL.createObjectURL(await answer.blob()) : track.url;
    audio.dataset.of = track.url;
    this.player = new Track(audio);
    return this.player;
  },
  countPass(wanted, number) {
    const music = wanted.sound === "track";
    const { from, to, row, speed } = wanted;
    const slot = this.slot.id;
    this.say("pass", { slot, from, to, row, speed, music }, `Pass ${number} counted`, { slot });
  },

  showCount(event) {
    this.last = event.kind === "count" ? { ...event, place: this.placeIn(event) } : this.last;
    const link = event.link || event.into;
    this.worded = link.words && event.kind === "count";
    if (!this.worded) this.big = String(event.called);
    else if (event.cue) this.big = event.cue;
    this.eight = event.kind === "count" ? `eight ${event.eight} of ${link.eights}` : "count-in";
    this.cue = event.coming ? `${event.coming.cue} on ${event.coming.called}` : event.cue || "";
    this.round = this.roundOf(event, link);
    this.onward = link.next || "the end";
    this.beats = this.beatsOf(event);
    this.lanes = event.kind === "count" ? this.lanesOf(link, event.count) : [];
    this.strike(event);
  },
  placeIn(event) {
    const eight = event.link.c.filter(([, , number]) => number === event.eight);
    return eight.findIndex(([second]) => second === event.second);
  },
  // "Waggle Line, 2 of 3 · last one".
  roundOf(event, link) {
    const place = link.of > 1 ? `${link.n}, ${link.o === link.of ? "last one" : `${link.o} of ${link.of}`}` : link.n;
    if (event.of === 1) return place;
    return `${place} · ${event.loop === event.of ? "last one" : `${event.loop} of ${event.of}`}`;
  },
  beatsOf(event) {
    if (event.kind !== "count") return [];
    const eight = event.link.c.filter(([, , number]) => number === event.eight);
    const at = this.placeIn(event);
    return eight.map((_, i) => ({ i, on: i <= at }));
  },
  lanesOf(link, count) {
    const words = { holding: "holds", off: "off", free: "freestyle" };
    return Object.entries(link.l).map(([group, own]) => {
      const lane = own.find(([from, to]) => from <= count && count <= to);
      const start = own.find(([, , doing]) => doing === "moving");
      const number = start ? ((count - start[0]) % 8) + 1 : "";
      const doing = lane ? lane[2] : "off";
      return { group, name: this.score.groups[group], word: doing === "moving" ? String(number) : words[doing] };
    });
  },
  // For those who do not hear it.
  strike(event) {
    if (this.flashes) {
      this.flash = !this.flash;
    }
    if (this.shakes && navigator.vibrate) navigator.vibrate(event.first ? 60 : 20);
  },
  toggle(name) {
    this[name] = !this[name];
    this.flash = false;
  },
};
