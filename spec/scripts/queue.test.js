import assert from "node:assert/strict";
import { beforeEach, test } from "node:test";
import { storage } from "./support.js";

globalThis.localStorage = storage();
const { Queue } = await import("../../app/room/queue.js");
const { Keeping } = await import("../../app/device/keeping.js");

beforeEach(() => {
  globalThis.localStorage = storage();
});

// A queue whose server answers as told: "cut", a status, or what it says of each entry.
const outcome = async (answers, said, tries = 5) => {
  const sent = [];
  globalThis.fetch = async (path, options = {}) => {
    if (path === "/form-token") return new Response('{"token":"t"}');
    const entries = JSON.parse(options.body).entries.map(each => each.client);
    const told = answers.shift();
    sent.push(entries);
    if (told === "cut") throw new TypeError("cut");
    if (typeof told === "number") return new Response("{}", { status: told });
    const all = entries.map(client => ({ client, status: told[client] || "stored", why: "because" }));
    return new Response(JSON.stringify({ entries: all }));
  };
  const queue = new Queue(77, () => null);
  said.forEach(client => queue.add({ client, kind: "here", at: 1 }));
  for (let i = 0; i < tries; i += 1) if (await queue.flush()) break;
  return { sent, left: queue.own().map(each => [each.entry.client, each.state]), status: queue.status, queue };
};

test("sends in order, some at a time, and again what got no answer", async () => {
  const said = Array.from({ length: 90 }, (_, i) => `k${String(i).padStart(3, "0")}`);
  const { sent, left } = await outcome(["cut", {}, 503, {}, {}], said);
  assert.deepEqual(sent.map(each => each.length), [40, 40, 40, 40, 10]);
  assert.deepEqual([sent[1], sent[3], sent[4]].flat(), said);
  assert.deepEqual([...new Set(left.map(([, state]) => state))], ["kept"]);
});

test("keeps what is refused with its reason, and goes on with the rest", async () => {
  const { left, queue } = await outcome([{ b: "refused", c: "duplicate" }], ["a", "b", "c"]);
  assert.deepEqual(left, [["a", "kept"], ["b", "refused"], ["c", "kept"]]);
  assert.equal(queue.refused()[0].why, "because");
  assert.deepEqual(queue.said().map(each => each.client), ["a", "c"]);
});

test("never gives up what is unsent, whether signed out or gone", async () => {
  for (const [code, status] of [[401, "signed-out"], [404, "gone"], [410, "gone"], [503, "away"]]) {
    globalThis.localStorage = storage();
    const found = await outcome([code, code, code, code, code], ["a", "b"]);
    assert.deepEqual([found.left, found.status], [[["a", "waiting"], ["b", "waiting"]], status]);
  }
});

test("what another owner said here, or at another rehearsal, is not sent by this one", async () => {
  localStorage.setItem(Keeping.OWNER, "1-1");
  new Queue(77, () => null).add({ client: "theirs", kind: "here", at: 1 });
  new Queue(78, () => null).add({ client: "elsewhere", kind: "here", at: 1 });
  localStorage.setItem(Keeping.OWNER, "2-1");
  const { sent } = await outcome([{}], ["mine"]);
  assert.deepEqual(sent, [["mine"]]);
  assert.equal(Keeping.read(Keeping.SAID, []).length, 3);
});

test("what is tried out is kept nowhere", () => {
  const queue = new Queue(77, () => null, true);
  queue.add({ client: "a", kind: "here", at: 1 });
  assert.equal(queue.said().length, 1);
  assert.equal(localStorage.getItem(Keeping.SAID), null);
});

test("what the server's answer holds is forgotten once the evening was fetched", async () => {
  const { queue } = await outcome([{}], ["a"]);
  globalThis.fetch = async () => new Response('{"clock":{"ms":5}}');
  queue.add({ client: "b", kind: "here", at: 2 });
  assert.deepEqual(await queue.facts("3"), { clock: { ms: 5 } });
  assert.deepEqual(queue.own().map(each => each.entry.client), ["b"]);
  assert.deepEqual(queue.kept("3"), { clock: { ms: 5 } });
});

test("what is signed out or gone takes names off the device, and nothing that waits", async () => {
  localStorage.setItem("room-facts-77-", '{"people":["Ada"]}');
  Object.defineProperty(localStorage, "room-facts-77-", { enumerable: true, configurable: true, value: 1 });
  await outcome([401], ["a"], 1);
  assert.equal(localStorage.getItem("room-facts-77-"), null);
  assert.equal(Keeping.read(Keeping.SAID, []).length, 1);
});
