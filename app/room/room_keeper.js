importScripts("/scripts/keeping.js");

// Keeps the room's page, its scripts, styles, sounds and music on the device, so that the page opens without a network.
// The page is asked for anew whenever there is one; whoever is signed out, or whose rehearsal is gone, keeps nothing.
const PAGES = "room-pages";
const PARTS = "room-parts";
const PATIENCE = 4000;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", event => event.waitUntil(self.clients.claim()));

const page = path => /^\/rehearsals\/\d+\/room$/.test(path);
const part = path => /^\/(styles|scripts|fonts|sounds|images)\//.test(path) || path === "/favicon.svg";
const music = path => /^\/pieces\/\d+\/track\/\d+$/.test(path);

self.addEventListener("fetch", event => {
  const url = new URL(event.request.url);
  if (event.request.method !== "GET" || url.origin !== self.location.origin) return;
  if (page(url.pathname)) event.respondWith(fresh(event.request));
  else if (part(url.pathname)) event.respondWith(known(event.request, PARTS));
  else if (music(url.pathname) && !event.request.headers.has("range")) {
    event.respondWith(known(event.request, PARTS));
  }
});

const soon = request =>
  Promise.race([fetch(request), new Promise((_, late) => setTimeout(() => late(new Error("slow")), PATIENCE))]);

// How often everything was erased: what was asked for before is not kept after.
let erased = 0;

// From the network; what is kept only where there is none.
async function fresh(request) {
  const began = erased;
  const answer = await soon(request).catch(() => null);
  const kept = await caches.open(PAGES);
  if (!answer || answer.status >= 500) return (await still(kept, request)) || answer || Response.error();
  if (!answer.ok) await erase();
  else if (began === erased) await kept.put(request, answer.clone());
  return answer;
}

// What is kept of a rehearsal that is over is not shown any more.
async function still(kept, request) {
  const found = await kept.match(request);
  if (!found || !Keeping.over(found.headers.get(Keeping.UNTIL))) return found;
  await kept.delete(request);
  return null;
}

async function known(request, name) {
  const kept = await caches.open(name);
  const found = await kept.match(request);
  if (found) return found;
  const answer = await fetch(request);
  if (answer.status !== 200) return answer;
  await kept.delete(request, { ignoreSearch: true });
  await kept.put(request, answer.clone());
  return answer;
}

async function erase() {
  erased += 1;
  await Keeping.forgetPages();
}
