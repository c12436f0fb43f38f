import assert from "node:assert/strict";
import { test } from "node:test";
import { poll } from "../../app/device/poll.js";
import { server } from "./support.js";

// Asks as told, and runs what it would have waited for at once: what was waited, and what was told.
const polled = async (answers, every = 400) => {
  const asked = server((path, options, number) => answers[number - 1]);
  const found = { waits: [], told: [], out: [], asked };
  let next = null;
  const wait = (again, ms) => {
    found.waits.push(ms);
    next = again;
  };
  const told = said => found.told.push(said.state) && said.state === "done";
  await poll("/x", every, told, text => found.out.push(text), wait);
  while (next && asked.length < answers.length) {
    const again = next;
    next = null;
    await again();
  }
  return { ...found, goesOn: next !== null };
};
const waits = [200, { state: "waits" }];

test("asks until it is told that this was all", async () => {
  const { asked, told, goesOn } = await polled([waits, waits, [200, { state: "done" }]]);
  assert.deepEqual([asked.length, told, goesOn], [3, ["waits", "waits", "done"], false]);
});

test("asks less often while nobody answers, and as before once somebody does", async () => {
  const found = await polled(["cut", [503, ""], [429, ""], waits, "cut"]);
  assert.deepEqual(found.waits, [800, 1600, 3200, 400, 800]);
  assert.ok(found.goesOn);
});

test("says so where nobody is signed in any more, and where it is gone, and asks no more", async () => {
  for (const [status, words] of [[401, /signed out/], [404, /not there/]]) {
    const { out, goesOn } = await polled([[status, ""]]);
    assert.match(out[0], words);
    assert.equal(goesOn, false);
  }
});
