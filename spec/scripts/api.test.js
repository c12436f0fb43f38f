import assert from "node:assert/strict";
import { test } from "node:test";
import { ask, backoff, send, standing } from "../../app/device/api.js";
import { key } from "../../app/device/key.js";
import { server } from "./support.js";

test("an answer stands for what is to be done about it", () => {
  const said = Object.fromEntries(
    [200, 204, 401, 403, 404, 410, 422, 429, 500, 503].map(status => [status, standing({ status, ok: status < 300 })]),
  );
  assert.deepEqual(said, {
    200: "ok", 204: "ok", 401: "signed-out", 403: "refused", 404: "gone", 410: "gone", 422: "refused", 429: "away",
    500: "away", 503: "away",
  });
  assert.equal(standing(null), "away");
});

test("nothing is thrown: no network, no JSON, no patience", async () => {
  server(() => "cut");
  assert.deepEqual(await ask("/x"), { status: 0, standing: "away", text: "", body: {} });
  server(() => [200, "<p>"]);
  assert.deepEqual(await ask("/x"), { status: 200, standing: "ok", text: "<p>", body: {} });
  globalThis.fetch = (path, { signal }) =>
    new Promise((_, cut) => signal.addEventListener("abort", () => cut(new Error("late"))));
  assert.equal((await ask("/x", {}, 0.01)).standing, "away");
});

test("what is sent has the key it was given, and is JSON", async () => {
  const asked = server(() => [200, { ok: true }]);
  await send("/x", { a: 1 }, { key: "secret" });
  const [path, { method, headers, body }] = asked[0];
  assert.deepEqual([path, method, body], ["/x", "POST", '{"a":1}']);
  assert.deepEqual([headers["X-CSRF-Token"], headers["Content-Type"]], ["secret", "application/json"]);
});

test("what is not answered is asked less often, half a minute at most", () => {
  assert.deepEqual([0, 1, 2, 3, 20].map(misses => backoff(misses, 400)), [400, 800, 1600, 3200, 30000]);
  assert.equal(backoff(0, 45000), 45000);
});

test("keys are long enough, and never the same", () => {
  const all = Array.from({ length: 500 }, key);
  assert.equal(new Set(all).size, 500);
  assert.ok(all.every(each => /^[0-9a-z]{21}$/.test(each)));
});
