// What keeps pages on a device, so that they open without a network. Each kind of page is a line of a table:
//
//   name: of its caches; page, music: which paths are kept; shown: whether what was kept of an answer may still be
//   shown, by its headers and the time; gone: whether an answer says that nothing of it may be kept any longer.
//
// Pages are asked for anew whenever there is a network; parts (styles, scripts, sounds) and music are asked for once,
// and one of another version stands in where there is no network.
const PATIENCE = 4000;
const PART = /^\/(styles|scripts|fonts|sounds|images)\//;
export const KEPT = "x-kept-at";

export class Keeper {
  // world: self of a service worker, or what stands for it.
  constructor(rule, world = self) {
    this.rule = rule;
    this.world = world;
    // How often everything was erased: what was asked for before is not kept after.
    this.erased = 0;
  }

  begin() {
    this.world.addEventListener("install", () => this.world.skipWaiting());
    this.world.addEventListener("activate", event => event.waitUntil(this.world.clients.claim()));
    this.world.addEventListener("fetch", event => {
      const answer = this.answer(event.request);
      if (answer) event.respondWith(answer);
    });
  }

  // The answer to a request that is kept, or null.
  answer(request) {
    const url = new URL(request.url);
    if (request.method !== "GET" || url.origin !== this.world.location.origin) return null;
    if (this.rule.page.test(url.pathname)) return this.fresh(request);
    if (PART.test(url.pathname) || url.pathname === "/favicon.svg") return this.known(request);
    return this.rule.music.test(url.pathname) && !request.headers.has("range") ? this.known(request) : null;
  }

  cache(what) {
    return this.world.caches.open(`${this.rule.name}-${what}`);
  }

  // From the network; what is kept only where there is none.
  async fresh(request) {
    const began = this.erased;
    const answer = await this.soon(request);
    const kept = await this.cache("pages");
    if (!answer || answer.status >= 500) return (await this.still(kept, request)) || answer || Response.error();
    if (this.rule.gone(answer, request)) await this.erase();
    else if (answer.ok && !answer.redirected) {
      const copy = await stamped(answer.clone());
      if (began === this.erased) await kept.put(request, copy);
    }
    return answer;
  }

  async soon(request) {
    let timer;
    const late = new Promise(done => {
      timer = setTimeout(() => done(null), PATIENCE);
    });
    const answer = await Promise.race([this.world.fetch(request).catch(() => null), late]);
    clearTimeout(timer);
    return answer;
  }

  async still(kept, request) {
    const found = await kept.match(request);
    if (!found || this.rule.shown(found.headers, Date.now())) return found;
    await kept.delete(request);
    return null;
  }

  async known(request) {
    const kept = await this.cache("parts");
    const found = await kept.match(request);
    if (found) return found;
    const answer = await this.world.fetch(request).catch(() => null);
    if (!answer) return (await kept.match(request, { ignoreSearch: true })) || Response.error();
    if (answer.status !== 200) return answer;
    await kept.delete(request, { ignoreSearch: true });
    await kept.put(request, answer.clone());
    return answer;
  }

  async erase() {
    this.erased += 1;
    const own = (await this.world.caches.keys()).filter(name => name.startsWith(`${this.rule.name}-`));
    await Promise.all(own.map(name => this.world.caches.delete(name)));
  }
}

// With the time at which it was kept.
const stamped = async answer => {
  const headers = new Headers(answer.headers);
  headers.set(KEPT, String(Date.now()));
  return new Response(await answer.blob(), { status: answer.status, headers });
};
