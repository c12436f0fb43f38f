import assert from "node:assert/strict";
import { beforeEach, test } from "node:test";
import { storage } from "./support.js";

globalThis.localStorage = storage();
const { Keeping } = await import("../../app/device/keeping.js");
const DAY = 86400000;
const NOW = 1800000000000;

// Names of facts are found as own keys of the storage, as a browser has them.
const put = (name, value) => {
  localStorage.setItem(name, JSON.stringify(value));
  Object.defineProperty(localStorage, name, { enumerable: true, configurable: true, value: 1 });
};

beforeEach(() => {
  globalThis.localStorage = storage();
  delete globalThis.caches;
});

const said = (client, state, at) => ({ entry: { client, at }, state });
const left = () => Keeping.read(Keeping.SAID, []).map(each => each.entry.client);

test("is over from the very moment on, and where no moment was said", () => {
  assert.deepEqual([NOW - 1, NOW, NOW + 1].map(until => Keeping.over(until, NOW)), [true, true, false]);
  assert.ok(Keeping.over(undefined, NOW) && Keeping.over("soon", NOW));
});

test("forgets what was answered for two days ago, never what waits", () => {
  put(Keeping.SAID, [
    said("old", "kept", NOW - 2 * DAY), said("young", "kept", NOW - 2 * DAY + 1), said("waits", "waiting", 0),
    said("refused", "refused", NOW - 3 * DAY),
  ]);
  Keeping.tidy(NOW);
  assert.deepEqual(left(), ["young", "waits"]);
});

test("forgets facts of rehearsals that are over", () => {
  put(`${Keeping.FACTS}1-`, { rehearsal: { until: NOW } });
  put(`${Keeping.FACTS}2-`, { rehearsal: { until: NOW + 1 } });
  Keeping.tidy(NOW);
  assert.equal(localStorage.getItem(`${Keeping.FACTS}1-`), null);
  assert.notEqual(localStorage.getItem(`${Keeping.FACTS}2-`), null);
});

test("belongs to whoever is signed in: somebody else, or nobody, erases all but what waits", () => {
  const fill = () => {
    put(`${Keeping.FACTS}1-`, { rehearsal: { until: NOW } });
    put(Keeping.SAID, [said("kept", "kept", NOW), said("waits", "waiting", NOW)]);
  };
  for (const [meets, stays] of [["1-1", true], ["2-1", false], ["nobody", false], ["", true], [undefined, true]]) {
    globalThis.localStorage = storage();
    Keeping.meet("1-1");
    fill();
    Keeping.meet(meets);
    assert.equal(localStorage.getItem(`${Keeping.FACTS}1-`) !== null, stays, `${meets}`);
    assert.deepEqual(left(), stays ? ["kept", "waits"] : ["waits"]);
  }
  assert.equal(Keeping.owner(), "1-1");
});

test("belongs to nobody where nobody is signed in, whoever was before", () => {
  put(`${Keeping.FACTS}1-`, { rehearsal: { until: NOW } });
  Keeping.meet("nobody");
  assert.equal(localStorage.getItem(`${Keeping.FACTS}1-`), null);
  assert.equal(Keeping.owner(), "");
});

test("pages go with the names", async () => {
  const names = new Set(["room-pages", "room-parts", "my-pages"]);
  globalThis.self = globalThis;
  globalThis.caches = { keys: async () => [...names], delete: async name => names.delete(name) };
  await Keeping.erase();
  assert.deepEqual([...names], ["my-pages"]);
});
