import assert from "node:assert/strict";
import { test } from "node:test";
import { KEPT, Keeper } from "../../app/device/keeper.js";
import { MINE } from "../../app/my_part/keeper.js";
import { ROOM } from "../../app/room/keeper.js";

const HOUSE = "https://house.test";

// Caches as a browser has them, of addresses; the network answers as `net` says.
const world = () => {
  const all = new Map();
  const bare = request => request.url.split("?")[0];
  const open = name => {
    if (!all.has(name)) all.set(name, new Map());
    const held = all.get(name);
    const found = (request, { ignoreSearch } = {}) =>
      [...held.keys()].filter(url => url === request.url || (ignoreSearch && url.split("?")[0] === bare(request)));
    return {
      match: async (request, how) => held.get(found(request, how)[0])?.clone(),
      put: async (request, answer) => held.set(request.url, answer),
      delete: async (request, how) => found(request, how).forEach(url => held.delete(url)),
    };
  };
  return {
    all,
    net: () => new Response("fresh"),
    location: { origin: HOUSE },
    caches: {
      open: async name => open(name),
      keys: async () => [...all.keys()],
      delete: async name => all.delete(name),
    },
    fetch(request) {
      return new Promise((done, cut) => {
        const answer = this.net(request);
        if (answer) done(answer);
        else cut(new TypeError("cut"));
      });
    },
  };
};
const ask = (path, options) => new Request(`${HOUSE}${path}`, options);
const text = async answer => (answer ? (await answer).text() : null);
const page = (status, headers) => () => new Response("page", { status, headers });
const later = ms => String(Date.now() + ms);

test("answers for its own pages, parts and music, and for nothing else", () => {
  const room = new Keeper(ROOM, world());
  const asked = [
    "/rehearsals/4/room", "/rehearsals/4", "/scripts/evening.js?v=1", "/sounds/1.wav", "/favicon.svg",
    "/pieces/3/track/9", "/pieces/3", "/my/abc",
  ];
  assert.deepEqual(
    asked.filter(path => room.answer(ask(path))),
    ["/rehearsals/4/room", "/scripts/evening.js?v=1", "/sounds/1.wav", "/favicon.svg", "/pieces/3/track/9"],
  );
  assert.equal(room.answer(ask("/rehearsals/4/room", { method: "POST" })), null);
  assert.equal(room.answer(ask("/pieces/3/track/9", { headers: { range: "bytes=0-" } })), null);
  assert.equal(room.answer(new Request("https://elsewhere.test/rehearsals/4/room")), null);
});

test("keeps the room's page until its time, shows it without a network, and not after", async () => {
  for (const [ms, shown] of [[60000, true], [-1, false]]) {
    const at = world();
    at.net = page(200, { "x-keep-until": later(ms) });
    const room = new Keeper(ROOM, at);
    await room.answer(ask("/rehearsals/4/room"));
    at.net = () => null;
    const answer = await room.answer(ask("/rehearsals/4/room"));
    assert.equal(answer.type === "error" ? null : await answer.text(), shown ? "page" : null);
    assert.equal(at.all.get("room-pages").size, shown ? 1 : 0);
  }
});

test("shows what is kept where the server is in trouble, and the trouble where nothing is", async () => {
  const at = world();
  const room = new Keeper(ROOM, at);
  at.net = page(503);
  assert.equal((await room.answer(ask("/rehearsals/4/room"))).status, 503);
  at.net = page(200, { "x-keep-until": later(60000) });
  await room.answer(ask("/rehearsals/4/room"));
  at.net = page(503);
  assert.equal((await room.answer(ask("/rehearsals/4/room"))).status, 200);
});

test("erases the room whoever is not let in, and a dancer's pages only where the link itself is gone", async () => {
  const left = async (rule, path, status) => {
    const at = world();
    const keeper = new Keeper(rule, at);
    at.net = page(200, { "x-keep-until": later(60000) });
    await keeper.answer(ask(rule === ROOM ? "/rehearsals/4/room" : "/my/abc"));
    at.net = page(status);
    await keeper.answer(ask(path));
    return at.all.has(`${rule.name}-pages`) && at.all.get(`${rule.name}-pages`).size > 0;
  };
  assert.equal(await left(ROOM, "/rehearsals/4/room", 403), false);
  assert.equal(await left(ROOM, "/rehearsals/4/room", 404), false);
  assert.equal(await left(MINE, "/my/abc", 404), false);
  assert.equal(await left(MINE, "/my/abc", 410), false);
  assert.equal(await left(MINE, "/my/abc/links/9", 404), true);
  assert.equal(await left(MINE, "/my/abc", 403), true);
});

test("keeps no page in place of another that somebody was sent to", async () => {
  const at = world();
  at.net = () => Object.defineProperty(new Response("sign in"), "redirected", { value: true });
  await new Keeper(MINE, at).answer(ask("/my/abc"));
  assert.equal(at.all.get("my-pages").size, 0);
});

test("keeps a dancer's pages for fourteen days", async () => {
  const day = 86400000;
  const kept = days => new Headers({ [KEPT]: String(1e12 - days * day) });
  assert.deepEqual([13.9, 14, 15].map(days => MINE.shown(kept(days), 1e12)), [true, false, false]);
});

test("keeps nothing that was asked for before everything was erased", async () => {
  const at = world();
  const room = new Keeper(ROOM, at);
  let answer;
  at.fetch = () => new Promise(done => (answer = done));
  const slow = room.answer(ask("/rehearsals/4/room"));
  await room.erase();
  answer(new Response("page", { status: 200, headers: { "x-keep-until": later(60000) } }));
  await slow;
  assert.equal(at.all.get("room-pages")?.size ?? 0, 0);
});

test("asks for a part once, keeps one version of it, and takes another where there is no network", async () => {
  const at = world();
  const mine = new Keeper(MINE, at);
  at.net = request => new Response(new URL(request.url).search);
  assert.equal(await text(mine.answer(ask("/scripts/phone.js?v=1"))), "?v=1");
  at.net = () => null;
  assert.equal(await text(mine.answer(ask("/scripts/phone.js?v=1"))), "?v=1");
  assert.equal(await text(mine.answer(ask("/scripts/phone.js?v=2"))), "?v=1");
  at.net = request => new Response(new URL(request.url).search);
  assert.equal(await text(mine.answer(ask("/scripts/phone.js?v=3"))), "?v=3");
  assert.deepEqual([...at.all.get("my-parts").keys()], [`${HOUSE}/scripts/phone.js?v=3`]);
});
