// A run: of which kind, one tap anywhere for a trouble spot at its count; what it was and whose at once, later, never.
export const Running = {
  KINDS_OF_RUN: [],
  KINDS_OF_TROUBLE: [],
  runKind: "stumble",
  runTitle: "",
  runPlace: "",
  runSpots: [],
  spot: null,
  whom: "",
  goLink: 1,
  goRow: 1,
  goRows: [],

  beginRunPanel() {
    this.KINDS_OF_RUN = Object.entries(this.facts.words.runs).map(([name, word]) => ({ name, word }));
    this.KINDS_OF_TROUBLE = Object.entries(this.facts.words.troubles).map(([name, word]) => ({ name, word }));
  },
  // The run that was begun here or on another device, and has not ended.
  underWay() {
    return this.view && this.view.run;
  },
  drawRun() {
    const run = this.underWay();
    this.runTitle = run ? this.facts.words.runs[run.kind] : "";
    this.runSpots = run ? this.view.troubles.slice().reverse() : [];
    const spot = this.spot && this.runSpots.find(each => each.client === this.spot);
    this.spotName = spot ? spot.name : "";
    this.spotKind = spot ? spot.kind : "";
    this.spotWhose = spot ? this.whoseOf(spot) : "";
    this.runPlace = this.placeNow();
    const link = this.score && this.score.links[this.goLink - 1];
    this.goRows = link ? Array.from({ length: link.eights }, (_, i) => i + 1) : [];
  },
  spotName: "",
  spotKind: "",
  spotWhose: "",
  whoseOf(spot) {
    if (spot.everyone) return "everyone";
    const group = this.slot.groups.find(([id]) => String(id) === String(spot.group));
    if (group) return group[1];
    return spot.people ? this.names(spot.people.split(" ")) : "whose is not said";
  },

  pickRun(kind) {
    this.runKind = kind;
    const { speed, music } = this.facts.kinds[kind];
    const sound = music ? (this.hasTrack ? "track" : "silent") : this.wanted.sound;
    this.wanted = { ...this.wanted, speed, sound };
    this.draw();
  },
  async beginRun() {
    if (!this.score) return;
    const [from, to] = [this.wanted.from, this.wanted.to].map(index => this.score.links[index - 1]);
    const { row, speed, sound } = this.wanted;
    // Where nothing is counted aloud in a run to music, the music comes from the desk.
    const music = sound === "track" || (sound === "silent" && this.facts.kinds[this.runKind].music);
    const facts = { slot: this.slot.id, run_kind: this.runKind, link: from.id, row, to: to.id, speed, music };
    this.spot = null;
    this.last = null;
    this.say("run", facts, `${this.facts.words.runs[this.runKind]} begins`);
    await this.callRun(this.wanted.from, row);
  },
  async callRun(from, row) {
    this.caller = this.caller || this.newCaller();
    this.caller.score = this.score;
    this.caller.track = this.wanted.sound === "track" ? await this.track() : null;
    this.calling = await this.caller.start({ ...this.wanted, from, row, loops: 1 });
    this.draw();
  },

  // Where the caller is, as it is sent.
  runWhere() {
    const { last } = this;
    if (last && last.link && last.link.id) return { link: last.link.id, row: last.eight, twelfths: last.place * 12 };
    const link = this.score.links[this.wanted.from - 1];
    return { link: link.id, row: this.wanted.row, twelfths: 0 };
  },
  stepRun(step, where, text) {
    this.say("run_step", { run: this.underWay().client, step, ...where }, text);
  },
  stopRun() {
    if (!this.underWay()) return;
    this.stopCalling();
    this.stepRun("stop", this.runWhere(), "Stopped here");
    this.goLink = this.last ? this.last.link.i : this.wanted.from;
    this.goRow = this.last ? this.last.eight : 1;
    this.draw();
  },
  async goOn() {
    const link = this.score.links[this.goLink - 1];
    this.stepRun("go", { link: link.id, row: this.goRow, twelfths: 0 }, `On from ${link.n}, eight ${this.goRow}`);
    await this.callRun(this.goLink, this.goRow);
  },
  pickGo(event) {
    this[event.target.dataset.go] = Number(event.target.value);
    if (event.target.dataset.go === "goLink") this.goRow = 1;
    this.draw();
  },
  endRun() {
    if (!this.underWay()) return;
    if (this.calling) this.stopCalling();
    this.stepRun("end", this.runWhere(), "The run has ended");
    this.draw();
  },
  // The last count was danced.
  runEnded() {
    this.stopCalling();
    if (this.underWay()) this.endRun();
  },

  // One tap anywhere, or a key.
  markTrouble() {
    const run = this.underWay();
    if (!run) return;
    const text = `Spot at ${this.placeNow()}`;
    this.spot = this.say("trouble", { run: run.client, ...this.runWhere(), name: this.placeNow() }, text);
    this.whom = "";
    this.draw();
  },
  markByKey(event) {
    const own = event.key === " " ? ["INPUT", "SELECT", "TEXTAREA", "BUTTON"] : ["INPUT", "SELECT", "TEXTAREA"];
    if (this.panel !== "run" || !["t", " "].includes(event.key) || own.includes(event.target.tagName)) return;
    event.preventDefault();
    this.markTrouble();
  },
  pickSpot(client) {
    this.spot = client;
    this.draw();
  },
  wordSpot(more) {
    const spot = this.view.troubles.find(each => each.client === this.spot);
    if (!spot) return;
    const { kind, group, people, everyone } = { ...spot, ...more };
    const said = { kind_of: kind || "", group: group || "", people: people || "", everyone: Boolean(everyone) };
    this.say("word", { of: this.spot, ...said }, "Said", { trouble: this.spot });
  },
  pickTrouble(kind) {
    this.wordSpot({ kind });
  },
  pickGroup(group) {
    this.wordSpot({ group: String(group), people: "", everyone: false });
  },
  pickEveryone() {
    this.wordSpot({ group: "", people: "", everyone: true });
  },
  // A further person is added: who runs into somebody are two.
  pickWhom() {
    const spot = this.view.troubles.find(each => each.client === this.spot);
    if (!spot || !this.whom) return;
    const people = [...new Set([...(spot.people ? spot.people.split(" ") : []), this.whom])].join(" ");
    this.wordSpot({ people, group: "", everyone: false });
    this.whom = "";
  },

  // The memory check, aloud: a question for all, its answer after a tap.
  asked: "",
  asksAnswer: "",
  askAt: -1,
  askOn() {
    const all = this.facts.asks[this.slot.piece] || [];
    if (all.length === 0) {
      this.asked = "There is nothing to ask of this piece yet.";
      return;
    }
    this.askAt = (this.askAt + 1) % all.length;
    this.asked = all[this.askAt][0];
    this.asksAnswer = "";
  },
  showAnswer() {
    const all = this.facts.asks[this.slot.piece] || [];
    this.asksAnswer = this.askAt >= 0 && all.length > 0 ? all[this.askAt][1] : "";
  },

  // A drill that was put into this rehearsal, as the caller counts it: half of it slow, once asked for at tempo.
  pickDrill(drill) {
    const { from, row, to, toRow, times } = drill;
    this.wanted = { ...this.wanted, from, row, to, toRow, loops: times };
    this.draw();
  },
};
