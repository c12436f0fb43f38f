import { ask, send } from "../device/api.js";
import { Keeping } from "../device/keeping.js";
import { plain } from "../device/plain.js";
import { device } from "../device/store.js";

// Seconds that an answer may take: in the room nobody waits longer.
const PATIENCE = 8;

// What was said on this device in the room, kept until the server has answered for it. Everything is sent once, in
// order; what the server cannot take is shown with its reason. Kept for the browser, not for the page: a reload, or a
// flat battery, loses nothing.
export class Queue {
  static NAME = Keeping.SAID;
  static FACTS = Keeping.FACTS;

  // changed: called whenever something here is otherwise than before; trial: whether nothing is to be kept.
  constructor(rehearsal, changed, trial = false) {
    plain(this);
    this.rehearsal = rehearsal;
    this.owner = Keeping.owner();
    this.changed = changed;
    this.tried = trial ? [] : null;
    this.status = "ok";
    this.busy = false;
  }

  // Read again only where somebody (this page, or another one here) has written.
  all() {
    if (this.tried) return this.tried;
    const text = localStorage.getItem(Queue.NAME);
    if (text !== this.text) {
      this.text = text;
      this.list = Keeping.read(Queue.NAME, []);
    }
    return this.list || [];
  }
  save(list) {
    if (this.tried) this.tried = list;
    else localStorage.setItem(Queue.NAME, JSON.stringify(list));
    this.changed();
  }
  own() {
    // What somebody else said here waits for them.
    const mine = each => !each.owner || each.owner === this.owner;
    return this.all().filter(each => each.rehearsal === this.rehearsal && mine(each));
  }
  waiting() {
    return this.own().filter(each => each.state === "waiting");
  }
  refused() {
    return this.own().filter(each => each.state === "refused");
  }
  // What the server's answers do not yet hold, as it was said.
  said() {
    return this.own().filter(each => each.state !== "refused").map(each => each.entry);
  }
  since() {
    const first = this.waiting()[0];
    return first && first.entry.at;
  }

  add(entry) {
    const { rehearsal, owner } = this;
    this.save([...this.all(), { rehearsal, owner, state: "waiting", entry }]);
    return entry.client;
  }
  forget(client) {
    this.save(this.all().filter(each => each.entry.client !== client));
  }

  // Sends what waits; true when nothing does any more.
  async flush() {
    if (this.busy) return false;
    this.busy = true;
    try {
      while (this.waiting().length > 0) if (!(await this.some())) return false;
      return true;
    } finally {
      this.busy = false;
      this.changed();
    }
  }

  async some() {
    const some = this.waiting().slice(0, 40);
    const token = await this.json(ask("/form-token", {}, PATIENCE));
    if (!token) return false;
    const entries = some.map(each => each.entry);
    const path = `/rehearsals/${this.rehearsal}/entries`;
    const answer = await this.json(send(path, { entries }, { key: token.token, seconds: PATIENCE }));
    if (!answer) return false;
    this.settle(answer.entries);
    return true;
  }

  settle(answers) {
    const by = Object.fromEntries(answers.map(each => [each.client, each]));
    this.save(
      this.all().map(each => {
        const answer = by[each.entry.client];
        if (!answer) return each;
        if (answer.status !== "refused") return { ...each, state: "kept" };
        return { ...each, state: "refused", why: answer.why };
      }),
    );
  }

  // The evening as the server has it now; what it was told before is in it. Nothing is sent meanwhile, so that nothing
  // is in both.
  async facts(room) {
    if (this.busy) return null;
    this.busy = true;
    try {
      return await this.asked(room);
    } finally {
      this.busy = false;
    }
  }
  async asked(room) {
    const kept = this.own().filter(each => each.state === "kept").map(each => each.entry.client);
    const query = room ? `?room=${room}` : "";
    const facts = await this.json(ask(`/rehearsals/${this.rehearsal}/evening${query}`, {}, PATIENCE));
    if (!facts) return null;
    if (kept.length > 0) this.save(this.all().filter(each => !kept.includes(each.entry.client)));
    this.keep(facts, room);
    return facts;
  }
  keep(facts, room) {
    // Where there is no space the page itself still holds them.
    device.write(`${Queue.FACTS}${this.rehearsal}-${room || ""}`, facts);
  }
  kept(room) {
    return Keeping.read(`${Queue.FACTS}${this.rehearsal}-${room || ""}`, null);
  }

  // The answer as data, or null: then status says why.
  async json(asked) {
    const answer = await asked;
    this.status = answer.standing;
    if (this.status === "signed-out" || this.status === "gone") Keeping.erase();
    return this.status === "ok" ? answer.body : null;
  }
}
