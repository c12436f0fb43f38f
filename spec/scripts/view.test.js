import assert from "node:assert/strict";
import { test } from "node:test";
import { View } from "../../app/room/view.js";

const facts = more => ({
  here: {}, guests: {}, passes: {}, cells: {}, notes: [], run: null, people: [{ id: 7, name: "Ada", called: 1080 }],
  lines: [
    [1, 1080, 1100, "ahead", 0, false, 20, 1080, 1070], [2, 1100, 1130, "ahead", 0, false, 30, 1100, 1085],
  ],
  rehearsal: { warm_up: 15 }, away: [], ...more,
});
const said = (kind, client, more) => ({ client, kind, at: 1, minute: 1090, ...more });
const seen = (entries, more) => View.of(facts(more), entries, 1090);
const undo = (of, was, more) => said("undo", `undo-${of}`, { of, was, ...more });

test("what is undone before it was sent is as if it was never said", () => {
  const entries = [
    said("here", "a", { person: "7", state: "absent" }), said("pass", "b", { slot: 1 }),
    said("tick", "c", { cells: "7:s4", rung: "3" }), said("note", "d", { note: "promise", text: "again" }),
    said("step", "e", { step: "begin", slot: 2 }), said("newcomer", "f", { name: "New One" }),
    said("run", "g", { run_kind: "marked" }), said("trouble", "h", { run: "g", name: "here" }),
  ];
  const kinds = { a: "here", b: "pass", c: "tick", d: "note", e: "step", f: "newcomer", g: "run", h: "trouble" };
  const back = Object.entries(kinds).map(([of, was]) => undo(of, was));
  assert.deepEqual({ ...seen([...entries, ...back]) }, { ...seen([]) });
  const alone = entries.filter(entry => entry.kind !== "trouble");
  alone.forEach(entry => assert.notDeepEqual({ ...seen([entry]) }, { ...seen([]) }, entry.kind));
});

test("what was sent and is taken back goes from what the server said", () => {
  const before = ["late", 1085, 1100];
  const of = (was, more, known) => seen([undo("x", was, more)], known);
  assert.deepEqual(of("here", { person: "7", before }, { here: { 7: ["absent", 1090, null] } }).here, { 7: before });
  assert.deepEqual(of("here", { person: "7" }, { here: { 7: ["absent", 1090, null] } }).here, {});
  assert.equal(of("pass", { slot: 1 }, { passes: { 1: 2 } }).passes[1], 1);
  assert.equal(of("pass", { slot: 1 }).passes[1], 0);
  assert.deepEqual(of("note", {}, { notes: [{ key: "x" }, { key: "y" }] }).notes, [{ key: "y" }]);
  assert.equal(of("run", {}, { run: { client: "x", troubles: [] } }).run, null);
  ["run_step", "word", "step", "tick"].forEach(was => assert.equal(of(was, {}).stale, true, was));
  ["here", "pass", "note"].forEach(was => assert.equal(of(was, { person: "7", slot: 1 }).stale, false, was));
});

test("facts that a device kept from before lines said from when they may begin are laid as they were", () => {
  const lines = facts().lines.map(line => line.slice(0, 7));
  assert.deepEqual(seen([], { lines }).lines.map(line => [line.start, line.finish]), [[1080, 1100], [1100, 1130]]);
});

test("a tick lifts and never lowers, a newcomer's too once they have a number", () => {
  const tick = (client, rung, person = "7") => said("tick", client, { cells: `${person}:s4`, rung });
  assert.equal(seen([tick("a", "3"), tick("b", "2")]).cells.s4[7], 3);
  const people = [{ id: 40, key: "new", name: "New One", called: null }];
  assert.deepEqual(seen([tick("a", "2", "c:new")], { people }).cells.s4, { 40: 2 });
  assert.deepEqual(seen([said("newcomer", "new", { name: "New One" })], { people }).people.length, 1);
});

test("what is re-cut is not known before the server has said what it comes to", () => {
  const step = (kind, more) => seen([said("step", "a", { step: kind, slot: 1, ...more })]);
  assert.equal(step("begin").stale, false);
  ["shorten", "drop", "swap"].forEach(kind => assert.equal(step(kind, { with: 2, minutes: 10 }).stale, true, kind));
  assert.deepEqual(step("drop").lines.map(line => line.state), ["ahead", "dropped"]);
  // Nobody begins before they were told to come.
  assert.deepEqual(step("swap", { with: 2 }).lines.map(line => [line.slot, line.start]), [[2, 1085], [1, 1115]]);
});

test("a run's trouble is said once, worded later, and gone with the run", () => {
  const run = said("run", "r", { run_kind: "full" });
  const spot = said("trouble", "t", { run: "r", name: "Verse" });
  const word = said("word", "w", { of: "t", kind_of: "late", group: "", people: "7", everyone: false });
  const { troubles } = seen([run, spot, spot, word]);
  assert.deepEqual(troubles, [{ client: "t", name: "Verse", kind: "late", people: "7", group: "", everyone: false }]);
  assert.equal(seen([spot]).troubles.length, 0);
  assert.equal(seen([run, said("run_step", "s", { run: "r", step: "end" })]).run, null);
  assert.notEqual(seen([run, said("run_step", "s", { run: "r", step: "stop" })]).run, null);
});
