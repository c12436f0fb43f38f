import { key } from "../device/key.js";
import { plain } from "../device/plain.js";
import { Clock } from "./clock.js";
import { Counting } from "./counting.js";
import { Here } from "./here.js";
import { Notes } from "./notes.js";
import { Queue } from "./queue.js";
import { Running } from "./running.js";
import { Ticks } from "./ticks.js";
import { View } from "./view.js";

// In the room: the screen for the evening. What is said is kept by the queue; what is shown is drawn from it each time
// something changes, and each second for the clock.
export const room = Alpine => {
  Alpine.data("room", () => ({
    ...Clock,
    ...Here,
    ...Ticks,
    ...Notes,
    ...Counting,
    ...Running,

    PARTS: /^\/(styles|scripts|fonts|images)\//,
    panel: "",
    told: "",
    undoable: null,
    head: { time: "", here: "", until: "" },
    unsent: "",
    refused: [],
    asOf: "",
    signedOut: false,

    async init() {
      const element = document.getElementById("evening");
      this.room = element.dataset.room;
      this.facts = plain(JSON.parse(element.textContent));
      const { id, trial } = this.facts.rehearsal;
      this.queue = new Queue(id, () => this.draw(), trial);
      this.newest();
      this.opened = Date.now();
      this.offset = this.facts.clock.ms - this.facts.received;
      this.draw();
      setInterval(() => this.draw(), 1000);
      setInterval(() => this.send(), 5000);
      setInterval(() => this.renew(), 15000);
      window.addEventListener("online", () => this.send());
      window.addEventListener("storage", () => this.draw());
      this.send();
      this.keepPage();
    },

    // What this device was told last, where the page itself is older.
    newest() {
      this.facts.received = this.facts.received || Date.now();
      const kept = this.queue.kept(this.room);
      if (kept && kept.clock.ms > this.facts.clock.ms) this.facts = plain(kept);
      else this.queue.keep(this.facts, this.room);
    },
    async keepPage() {
      // Without HTTPS only what was said survives a reload, not the page.
      this.keeps = "serviceWorker" in navigator && window.isSecureContext;
      if (!this.keeps) return;
      navigator.serviceWorker.addEventListener("controllerchange", () => this.handOver());
      await navigator.serviceWorker.register("/room-keeper.js", { scope: "/rehearsals/" }).catch(() => {
        this.keeps = false;
      });
    },
    // What was loaded before the keeper was there is asked for once more, so that it has it.
    handOver() {
      const loaded = performance.getEntriesByType("resource").map(each => new URL(each.name));
      const parts = loaded.filter(url => url.origin === location.origin && this.PARTS.test(url.pathname));
      const sounds = Array.from({ length: 9 }, (_, i) => `/sounds/${i + 1}.wav`);
      [location.href, ...parts.map(url => url.href), ...sounds].forEach(url => fetch(url).catch(() => null));
    },

    // Minutes of the day, by the server's clock.
    minute() {
      const clock = this.facts.clock;
      if (this.facts.rehearsal.trial) return this.tryingFrom() + (Date.now() - this.opened) / 60000;
      return clock.minute + (Date.now() + this.offset - clock.ms) / 60000;
    },
    tryingFrom() {
      const first = this.facts.slots.find(slot => slot.work);
      return (first ? first.start : this.facts.rehearsal.starts) + 1;
    },
    whole() {
      return Math.floor(this.minute());
    },

    // Says something: kept at once, sent as soon as there is a way.
    say(kind, more, text, undo = {}) {
      const entry = { client: key(), kind, at: Date.now() + this.offset, minute: this.whole(), ...more };
      this.queue.add(entry);
      this.offer([{ of: entry.client, was: kind, slot: entry.slot, ...undo }], text);
      this.send();
      return entry.client;
    },
    offer(what, text) {
      this.undoable = { what, until: Date.now() + 10000 };
      this.told = text;
    },
    undo() {
      const { what } = this.undoable;
      this.undoable = null;
      what.forEach(each => {
        const when = { at: Date.now() + this.offset, minute: this.whole() };
        this.queue.add({ client: key(), kind: "undo", ...when, ...each });
      });
      this.told = "Undone";
      this.send();
    },

    async send() {
      if (this.facts.rehearsal.trial) return;
      const before = this.queue.waiting().length;
      const stale = this.view && this.view.stale;
      if (before > 0 && (await this.queue.flush()) && stale) await this.renew();
      this.draw();
    },
    async renew() {
      if (this.facts.rehearsal.trial) return;
      const facts = await this.queue.facts(this.room);
      if (!facts) return;
      facts.received = Date.now();
      this.facts = plain(facts);
      this.offset = facts.clock.ms - facts.received;
      this.queue.keep(facts, this.room);
      this.draw();
    },
    forget(client) {
      this.queue.forget(client);
    },

    open(panel) {
      this.panel = this.panel === panel ? "" : panel;
      if (this.panel === "tick") this.beginTick();
      if (this.panel === "note") this.beginNote();
      if (this.panel === "run") this.beginRunPanel();
      if (this.panel === "ask") this.askOn();
      this.draw();
    },

    draw() {
      if (!this.queue) return;
      if (this.undoable && Date.now() > this.undoable.until) {
        this.undoable = null;
        this.told = "";
      }
      this.view = View.of(this.facts, this.queue.said(), this.minute());
      this.drawClock();
      this.drawHere();
      if (this.panel === "here") this.drawSheet();
      if (this.panel === "tick") this.drawTicks();
      if (this.panel === "note") this.drawNotes();
      this.drawCounting();
      if (this.panel === "run") this.drawRun();
      this.drawUnsent();
    },
    drawUnsent() {
      const waiting = this.queue.waiting();
      const { trial } = this.facts.rehearsal;
      this.refused = this.queue.refused().map(each => ({ client: each.entry.client, why: each.why }));
      this.signedOut = this.queue.status === "signed-out";
      this.asOf = this.queue.status === "away" || this.view.stale ? `as of ${this.facts.clock.said}` : "";
      if (trial) this.unsent = "Trying out: nothing is kept";
      else if (this.queue.status === "signed-out") this.unsent = `Sign in to send ${waiting.length}`;
      else if (waiting.length > 0) this.unsent = `${waiting.length} unsent since ${this.timeOf(this.queue.since())}`;
      else if (this.queue.status === "away") this.unsent = "No network";
      else this.unsent = this.keeps === false ? "All sent; keep this page open" : "All sent";
    },
    timeOf(ms) {
      return new Date(ms).toTimeString().slice(0, 5);
    },
    clockOf(minute) {
      const whole = Math.floor(minute);
      return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
    },
    person(id) {
      return this.view.people.find(each => String(each.id) === String(id));
    },
    names(ids, most = 6) {
      const all = ids.map(id => (this.person(id) || { short: "" }).short).filter(Boolean);
      return all.length > most ? `${all.slice(0, most).join(", ")} and ${all.length - most} more` : all.join(", ");
    },
  }));
};
