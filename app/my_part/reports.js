import { ask, backoff, send } from "../device/api.js";
import { key } from "../device/key.js";

// What a dancer reports on their own page, kept on the phone until the server has answered for it, each under a key of
// its own: sent twice it is taken in once. What the server will not take is told and not sent again.
export class Reports {
  static NAME = "my-said";
  static EVERY = 10000;

  // address: of the dancer's own page; store: where it is kept; told: called with what became of one: (report, why).
  constructor(address, store, told) {
    this.address = address;
    this.store = store;
    this.told = told;
    this.misses = 0;
    this.busy = false;
  }

  all() {
    return this.store.read(Reports.NAME, []);
  }

  add(report) {
    this.store.write(Reports.NAME, [...this.all(), { client: key(), ...report }]);
  }

  // Milliseconds until it is tried again.
  get wait() {
    return backoff(this.misses, Reports.EVERY);
  }

  // Sends what waits, in order; true when nothing does any more.
  async flush() {
    if (this.busy) return false;
    this.busy = true;
    try {
      for (let first = this.all()[0]; first; first = this.all()[0]) if (!(await this.one(first))) return false;
      return true;
    } finally {
      this.busy = false;
    }
  }

  async one(report) {
    const said = await this.said(report);
    this.misses = said === null ? this.misses + 1 : 0;
    if (said === null) return false;
    this.store.write(Reports.NAME, this.all().filter(each => each.client !== report.client));
    this.told(report, said);
    return true;
  }

  // "" where it was taken in, why not where it was refused, null where it has to be sent again.
  async said(report) {
    const token = await ask(`${this.address}/form-token`);
    if (token.standing === "away") return null;
    if (token.standing !== "ok") return Reports.GONE;
    const { client, piece, item, rung } = report;
    const sent = { client, piece, item, rung: Number(rung) };
    const { standing, body } = await send(`${this.address}/reports`, sent, { key: token.body.token });
    if (standing === "away") return null;
    return standing === "ok" ? "" : body.why || Reports.GONE;
  }

  static GONE = "This could not be taken in. Tell whoever teaches it.";
}
