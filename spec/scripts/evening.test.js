import assert from "node:assert/strict";
import { test } from "node:test";
import { Caller } from "../../app/room/caller.js";
import { Clock } from "../../app/room/clock.js";
import { Here } from "../../app/room/here.js";
import { View } from "../../app/room/view.js";
import { cases } from "./support.js";

const all = cases("evening_cases");

const facts = more => ({
  here: {}, guests: {}, passes: {}, cells: {}, notes: [], run: null, people: [], lines: [],
  rehearsal: { warm_up: 15 }, away: [], ...more,
});
const said = (kind, number, more) => ({ client: `c${number}`, kind, at: number, minute: 1090, ...more });

const line = (id, start, minutes) => [id, start, start + minutes, "ahead", 0, false, minutes, start, start];
const taken = (number, step) => said("step", number, step);

test("lays the evening as the core does", () => {
  all.laid.forEach(each => {
    const lines = each.slots.map(([id, start, minutes]) => line(id, start, minutes));
    const steps = each.steps.map(([step, slot, minute, minutes], i) => taken(i, { step, slot, minute, minutes }));
    const { lines: laid } = View.of(facts({ lines }), steps, each.now);
    assert.deepEqual(laid.map(line => [line.slot, line.start, line.finish, line.state]), each.lines, each.called);
  });
});

test("says who dances, and from when, as the core does", () => {
  all.dances.forEach(each => {
    const entries = each.said.map(([state, minute], i) => said("here", i, { person: "7", state, minute }));
    if (each.others) entries.push(said("here", 99, { person: "8", state: "present" }));
    const view = View.of(facts(), entries, each.minute);
    const page = { ...Here, view, facts: facts(), minute: () => each.minute };
    assert.equal(page.dances("7"), each.dances, JSON.stringify(each));
    assert.equal(page.readyAt("7"), each.ready > each.minute ? each.ready : null, JSON.stringify(each));
  });
});

test("counts the minutes of another pass as the core does", () => {
  all.passes.forEach(({ seconds, people, minutes }) => {
    const score = { links: [{ i: 1, lead: 0, e: seconds, q: [], c: [[0, 1, 1, 1]] }] };
    const wanted = { from: 1, to: 1, row: 1, toRow: 0, speed: 100, loops: 1, rest: 0, countIn: 0 };
    const page = { ...Clock, score, wanted, facts: { reset: { small: 6, few: 20, many: 45 } } };
    assert.equal(page.passMinutes(people), minutes, JSON.stringify({ seconds, people }));
  });
});

test("calls the beats before a pass as they are called", () => {
  all.leads.forEach(({ beats, called }) => {
    const events = [];
    const end = Caller.lead(events, 2, beats, 0.5, { music: 10 });
    assert.deepEqual([events.map(each => each.called), end], [called, 2 + beats / 2]);
    assert.deepEqual(events.map(each => each.second), called.map((_, i) => 10 - (beats - i) * 0.5));
  });
});

// Three links of eight counts, a second each.
const counts = from => Array.from({ length: 16 }, (_, i) => [from + i, (i % 8) + 1, i < 8 ? 1 : 2, i % 8 ? 0 : 1]);
const score = {
  links: [0, 1, 2].map(i => ({
    i: i + 1, lead: 1, e: (i + 1) * 16, c: counts(i * 16), q: i === 1 ? [[3, "Now"], [4.5, "Turn"]] : [],
  })),
};
const plan = more =>
  Caller.plan(score, { from: 1, to: 1, row: 1, toRow: 0, speed: 100, loops: 1, rest: 8, countIn: 4, ...more });
const heard = found => found.events.filter(each => each.kind === "count");

test("counts from any eight of one link to any eight of another, at any share of the tempo", () => {
  const found = plan({ from: 1, to: 2, row: 2, toRow: 1, speed: 50 });
  assert.deepEqual(heard(found).map(each => each.second), [...Array(16)].map((_, i) => 8 + i));
  assert.deepEqual([found.events[4].at, found.seconds, found.end], [8, 40, 24]);
  assert.deepEqual(found.events.map(each => each.at), [...found.events.map(each => each.at)].sort((a, b) => a - b));
});

test("counts as often as it is asked, with the rest between, and says when a pass is over", () => {
  const found = plan({ loops: 3, rest: 2 });
  assert.deepEqual(found.passes, [20, 38, 56]);
  assert.deepEqual(heard(found).map(each => each.loop).filter((loop, i, list) => loop !== list[i - 1]), [1, 2, 3]);
});

test("says a cue on the count it lies in, and nothing of links that are not there", () => {
  const cues = heard(plan({ from: 2, to: 2 })).filter(each => each.cue).map(each => [each.count, each.cue]);
  assert.deepEqual(cues, [[3, "Now"], [4, "Turn"]]);
  assert.deepEqual(plan({ from: 7, to: 9 }), { events: [], seconds: 0, passes: [] });
});
