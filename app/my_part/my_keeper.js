// Keeps a dancer's own pages on the phone, so that they open without a network for fourteen days. A link that was taken
// back (404 or 410) erases them at once.
const PAGES = "my-pages";
const PARTS = "my-parts";
const PATIENCE = 4000;
const DAYS = 14 * 86400000;
const KEPT = "x-kept-at";

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", event => event.waitUntil(self.clients.claim()));

const page = path => /^\/my\/[\w-]+(\/(links|memory|top)\/\d+)?$/.test(path);
// The page itself: where it is gone, the link was taken back.
const own = request => /^\/my\/[\w-]+$/.test(new URL(request.url).pathname);
const part = path => /^\/(styles|scripts|fonts|sounds|images)\//.test(path) || path === "/favicon.svg";
const music = path => /^\/my\/[\w-]+\/track\/\d+$/.test(path);

self.addEventListener("fetch", event => {
  const url = new URL(event.request.url);
  if (event.request.method !== "GET" || url.origin !== self.location.origin) return;
  if (page(url.pathname)) event.respondWith(fresh(event.request));
  else if (part(url.pathname)) event.respondWith(known(event.request));
  else if (music(url.pathname) && !event.request.headers.has("range")) event.respondWith(known(event.request));
});

const soon = request =>
  Promise.race([fetch(request), new Promise((_, late) => setTimeout(() => late(new Error("slow")), PATIENCE))]);

// With the time it was kept.
async function stamped(answer) {
  const headers = new Headers(answer.headers);
  headers.set(KEPT, String(Date.now()));
  return new Response(await answer.blob(), { status: answer.status, headers });
}

// How often everything was erased: what was asked for before is not kept after.
let erased = 0;

async function fresh(request) {
  const began = erased;
  const answer = await soon(request).catch(() => null);
  const kept = await caches.open(PAGES);
  if (!answer || answer.status >= 500) return (await still(kept, request)) || answer || Response.error();
  if (answer.ok && !answer.redirected) {
    const copy = await stamped(answer.clone());
    if (began === erased) await kept.put(request, copy);
  }
  if (own(request) && (answer.status === 404 || answer.status === 410)) await erase();
  return answer;
}

async function still(kept, request) {
  const found = await kept.match(request);
  if (!found) return null;
  if (Date.now() - Number(found.headers.get(KEPT)) < DAYS) return found;
  await kept.delete(request);
  return null;
}

async function known(request) {
  const kept = await caches.open(PARTS);
  const found = await kept.match(request);
  if (found) return found;
  const answer = await fetch(request).catch(() => null);
  // Of another version rather than none.
  if (!answer) return (await kept.match(request, { ignoreSearch: true })) || Response.error();
  if (answer.status !== 200) return answer;
  await kept.delete(request, { ignoreSearch: true });
  await kept.put(request, answer.clone());
  return answer;
}

async function erase() {
  erased += 1;
  const own = (await caches.keys()).filter(name => name.startsWith("my-"));
  await Promise.all(own.map(name => caches.delete(name)));
}
