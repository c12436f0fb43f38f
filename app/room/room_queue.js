// What was said on this device in the room, kept until the server has answered for it. Everything is sent once, in
// order; what the server cannot take is shown with its reason. Kept for the browser, not for the page: a reload, or a
// flat battery, loses nothing.
//
// RoomPlain marks what is only read: Alpine would else watch every field of it, which costs more than drawing.
window.RoomPlain = thing => Object.defineProperty(thing, "__v_skip", { value: true });

window.RoomQueue = class {
  static NAME = Keeping.SAID;
  static FACTS = Keeping.FACTS;

  // changed: called whenever something here is otherwise than before; trial: whether nothing is to be kept.
  constructor(rehearsal, changed, trial = false) {
    RoomPlain(this);
    this.rehearsal = rehearsal;
    this.owner = Keeping.owner();
    this.changed = changed;
    this.tried = trial ? [] : null;
    this.status = "ok";
    this.busy = false;
  }

  static key() {
    return Array.from(crypto.getRandomValues(new Uint32Array(3)), n => n.toString(36).padStart(7, "0")).join("");
  }

  // Read again only where somebody (this page, or another one here) has written.
  all() {
    if (this.tried) return this.tried;
    const text = localStorage.getItem(RoomQueue.NAME);
    if (text !== this.text) {
      this.text = text;
      this.list = Keeping.read(RoomQueue.NAME, []);
    }
    return this.list || [];
  }
  save(list) {
    if (this.tried) this.tried = list;
    else localStorage.setItem(RoomQueue.NAME, JSON.stringify(list));
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
    const token = await this.json("/form-token");
    if (!token) return false;
    const answer = await this.json(`/rehearsals/${this.rehearsal}/entries`, {
      method: "POST",
      headers: { "Content-Type": "application/json", "X-CSRF-Token": token.token },
      body: JSON.stringify({ entries: some.map(each => each.entry) }),
    });
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
    const facts = await this.json(`/rehearsals/${this.rehearsal}/evening${query}`);
    if (!facts) return null;
    if (kept.length > 0) this.save(this.all().filter(each => !kept.includes(each.entry.client)));
    this.keep(facts, room);
    return facts;
  }
  keep(facts, room) {
    try {
      localStorage.setItem(`${RoomQueue.FACTS}${this.rehearsal}-${room || ""}`, JSON.stringify(facts));
    } catch {
      // No space: the page itself still holds them.
    }
  }
  kept(room) {
    return Keeping.read(`${RoomQueue.FACTS}${this.rehearsal}-${room || ""}`, null);
  }

  // The answer as data, or null: then status says why.
  async json(path, options = {}) {
    const stop = new AbortController();
    const timer = setTimeout(() => stop.abort(), 8000);
    const headers = { Accept: "application/json", ...options.headers };
    const answer = await fetch(path, { ...options, headers, signal: stop.signal }).catch(() => null);
    clearTimeout(timer);
    this.status = RoomQueue.status(answer);
    if (this.status === "signed-out" || this.status === "gone") Keeping.erase();
    return this.status === "ok" ? answer.json().catch(() => null) : null;
  }

  static status(answer) {
    if (!answer || answer.status >= 500) return "away";
    if (answer.status === 401) return "signed-out";
    if (answer.status === 404 || answer.status === 410) return "gone";
    return answer.ok ? "ok" : "refused";
  }
};
