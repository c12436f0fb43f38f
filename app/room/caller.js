import { plain } from "../device/plain.js";

// The caller: counts a piece aloud. Every click is put on the sound card's own clock a little ahead, so that nothing
// drifts and nothing waits for the page; what is shown follows that clock.
export class Caller {
  static AHEAD = 0.25;
  static EVERY = 50;
  // Counts before its count at which a cue is shown and said.
  static EARLY = 2;

  // score: as the server worked it out; shown: called with what is danced now; passed: after each whole pass.
  constructor(score, { shown, passed, ended }) {
    plain(this);
    this.score = score;
    this.shown = shown;
    this.passed = passed;
    this.ended = ended;
    this.running = false;
  }

  // Everything that is counted, in order, in seconds from the beginning. wanted: {from, to, row, toRow, speed (%),
  // loops,
  // rest, countIn (beats)}.
  static plan(score, wanted) {
    const speed = wanted.speed / 100;
    const links = score.links.filter(link => link.i >= wanted.from && link.i <= wanted.to);
    const events = [];
    if (links.length === 0) return { events, seconds: 0, passes: [] };
    const { counts, end } = Caller.span(links, wanted.row || 1, wanted.toRow || 0);
    const first = counts[0].second;
    const lead = links[0].lead;
    const passes = [];
    let at = 0;
    for (let loop = 1; loop <= wanted.loops; loop += 1) {
      const before = loop === 1 ? wanted.countIn : wanted.rest;
      at = Caller.lead(events, at, before, lead / speed, { loop, of: wanted.loops, into: links[0], music: first });
      const began = at;
      counts.forEach(count => {
        events.push({ ...count, kind: "count", at: began + (count.second - first) / speed, loop, of: wanted.loops });
      });
      at = began + (end - first) / speed;
      passes.push(at);
    }
    return { events, seconds: at, passes, first, end };
  }

  // Beats before a pass: the last eight of them are called 5, 6, 7, 8, or as many as there are.
  static lead(events, from, beats, length, more) {
    for (let i = 0; i < beats; i += 1) {
      const called = ((8 - beats + i) % 8) + 1;
      const number = called > 0 ? called : called + 8;
      const second = more.music - (beats - i) * length;
      events.push({ ...more, kind: "lead", at: from + i * length, called: number, first: false, second });
    }
    return from + beats * length;
  }

  // Counts from an eight of the first link to an eight of the last one (0: all of it), and the second they end at.
  static span(links, row, toRow) {
    const all = Caller.counts(links, row);
    const last = links[links.length - 1];
    const beyond = toRow ? all.findIndex(count => count.link === last && count.eight > toRow) : -1;
    return beyond > 0 ? { counts: all.slice(0, beyond), end: all[beyond].second } : { counts: all, end: last.e };
  }

  // Counts from an eight of the first link on.
  static counts(links, row) {
    return links.flatMap((link, place) => {
      const all = link.c.map(([second, called, eight, first], i) => {
        const cue = link.q.filter(([count]) => Math.floor(count) === i + 1).map(([, text]) => text)[0];
        return { second, called, eight, first: first === 1, link, count: i + 1, cue };
      });
      const from = place === 0 ? all.findIndex(count => count.eight >= row) : 0;
      return all.slice(Math.max(from, 0));
    });
  }

  // A click that begins just at a second of a sound clock.
  static click(context, at, strong, into = context.destination) {
    const tone = context.createOscillator();
    const gain = context.createGain();
    tone.frequency.value = strong ? 1760 : 1175;
    gain.gain.setValueAtTime(strong ? 0.9 : 0.5, at);
    gain.gain.exponentialRampToValueAtTime(0.001, at + 0.05);
    tone.connect(gain).connect(into);
    tone.start(at);
    tone.stop(at + 0.06);
  }

  // All clicks of a plan in one go, faster than they sound: for whoever checks them.
  static async render(plan, rate = 44100) {
    const context = new OfflineAudioContext(1, Math.ceil((plan.seconds + 1) * rate), rate);
    plan.events.forEach(event => Caller.click(context, event.at, event.first));
    return (await context.startRendering()).getChannelData(0);
  }

  async start(wanted) {
    this.stop();
    this.wanted = wanted;
    this.plan = Caller.plan(this.score, wanted);
    if (this.plan.events.length === 0) return false;
    this.context = this.context || new AudioContext();
    await Promise.race([this.context.resume(), new Promise(later => setTimeout(later, 500))]);
    if (wanted.sound === "numbers") await this.numbers();
    this.zero = this.context.currentTime + 0.15;
    this.next = 0;
    this.now = -1;
    this.passes = 0;
    this.running = true;
    if (this.track) this.track.begin(this);
    this.timer = setInterval(() => this.step(), Caller.EVERY);
    this.step();
    return true;
  }

  stop() {
    clearInterval(this.timer);
    this.running = false;
    if (this.track) this.track.pause();
    if (window.speechSynthesis) speechSynthesis.cancel();
    (this.sounding || []).forEach(node => node.disconnect());
    this.sounding = [];
  }

  // Where the caller is, in seconds of its plan.
  get at() {
    return this.context.currentTime - this.zero;
  }

  step() {
    const { events } = this.plan;
    while (this.next < events.length && events[this.next].at < this.at + Caller.AHEAD) this.sound(this.next++);
    const heard = this.at - (this.context.outputLatency || 0);
    while (this.now + 1 < events.length && events[this.now + 1].at <= heard) this.show(++this.now);
    while (this.passes < this.plan.passes.length && this.plan.passes[this.passes] <= this.at) {
      this.passes += 1;
      this.passed(this.wanted, this.passes);
    }
    if (this.track) this.track.follow(this);
    if (this.at >= this.plan.seconds) {
      this.stop();
      this.ended();
    }
  }

  sound(place) {
    const event = this.plan.events[place];
    const at = this.zero + event.at;
    const { sound } = this.wanted;
    if (sound === "clicks" || event.kind === "lead") Caller.click(this.context, at, event.first, this.out());
    const words = event.link && event.link.words;
    if (sound === "numbers" && event.kind === "count" && !words) this.say(event.called, at);
    if (sound === "numbers" && words) Caller.click(this.context, at, event.first, this.out());
    const later = this.plan.events[place + Caller.EARLY];
    if (later && later.cue && sound !== "silent") this.speak(later.cue, at);
  }

  // What sounds goes through here, so that stopping silences what was put ahead.
  out() {
    const gain = this.context.createGain();
    gain.connect(this.context.destination);
    this.sounding = [...(this.sounding || []).slice(-40), gain];
    return gain;
  }

  // Spoken numbers ship with the application; "1" to "9", more are clicked.
  async numbers() {
    if (this.spoken) return;
    const names = [1, 2, 3, 4, 5, 6, 7, 8, 9];
    const load = async name => {
      const answer = await fetch(`/sounds/${name}.wav`).catch(() => null);
      return answer && answer.ok ? this.context.decodeAudioData(await answer.arrayBuffer()) : null;
    };
    const all = await Promise.all(names.map(load));
    this.spoken = Object.fromEntries(names.map((name, i) => [name, all[i]]));
  }
  say(number, at) {
    const buffer = this.spoken && this.spoken[number];
    if (!buffer) {
      Caller.click(this.context, at, number === 1, this.out());
      return;
    }
    const source = this.context.createBufferSource();
    source.buffer = buffer;
    source.connect(this.out());
    source.start(at);
  }
  speak(words, at) {
    if (!window.speechSynthesis || speechSynthesis.getVoices().length === 0) return;
    const wait = Math.max((at - this.context.currentTime) * 1000, 0);
    setTimeout(() => this.running && speechSynthesis.speak(new SpeechSynthesisUtterance(words)), wait);
  }

  show(place) {
    const { events } = this.plan;
    const event = events[place];
    const coming = events.slice(place + 1, place + 1 + Caller.EARLY).find(each => each.cue);
    this.shown({ ...event, coming: coming || null });
  }
}
