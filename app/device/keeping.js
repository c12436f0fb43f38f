import { device } from "./store.js";

// What a device keeps of the room, whose it is and for how long: the one rule, for every page, for the room itself and
// for the script that keeps its page (room/keeper.js). Names are kept for whoever is signed in, until twelve hours
// after the rehearsal; a page of anybody else, or of nobody, erases them. What is unsent stays for its owner, without
// names of others: its entries hold numbers, and what was typed itself.
export class Keeping {
  static SAID = "room-said";
  static FACTS = "room-facts-";
  static OWNER = "room-owner";
  // The header, and the field of the facts, that say until when: milliseconds.
  static UNTIL = "x-keep-until";

  static read(name, otherwise) {
    return device.read(name, otherwise);
  }

  static over(until, now = Date.now()) {
    return !(Number(until) > now);
  }

  static facts() {
    return Object.keys(localStorage).filter(name => name.startsWith(Keeping.FACTS));
  }

  static async forgetPages() {
    if (!globalThis.caches) return;
    const own = (await caches.keys()).filter(name => name.startsWith("room-"));
    await Promise.all(own.map(name => caches.delete(name)));
  }

  // Everything but what is unsent.
  static erase() {
    Keeping.facts().forEach(name => localStorage.removeItem(name));
    const waiting = Keeping.read(Keeping.SAID, []).filter(each => each.state === "waiting");
    if (waiting.length > 0) localStorage.setItem(Keeping.SAID, JSON.stringify(waiting));
    else localStorage.removeItem(Keeping.SAID);
    localStorage.removeItem(Keeping.OWNER);
    return Keeping.forgetPages();
  }

  // What has had its time: rehearsals that are over, what was answered for two days ago.
  static tidy(now = Date.now()) {
    const before = now - 2 * 86400000;
    const said = Keeping.read(Keeping.SAID, []);
    const needed = said.filter(each => each.state === "waiting" || each.entry.at > before);
    if (needed.length < said.length) localStorage.setItem(Keeping.SAID, JSON.stringify(needed));
    const past = Keeping.facts().filter(name => Keeping.over(Keeping.read(name, {}).rehearsal?.until, now));
    past.forEach(name => localStorage.removeItem(name));
    if (past.length > 0 && Keeping.facts().length === 0) Keeping.forgetPages();
  }

  // A page of this owner ("12-5": account and studio; "nobody" where nobody is signed in) is open here.
  static meet(owner) {
    if (!owner) return;
    const known = localStorage.getItem(Keeping.OWNER);
    if (owner === "nobody" || (known && known !== owner)) Keeping.erase();
    if (owner !== "nobody") localStorage.setItem(Keeping.OWNER, owner);
  }

  static owner() {
    return localStorage.getItem(Keeping.OWNER) || "";
  }
}
