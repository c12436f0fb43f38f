import assert from "node:assert/strict";
import { test } from "node:test";
import { Track } from "../../app/room/track.js";

// A player that begins late and runs a little wrong, and a caller at a second of its plan.
const made = (speed = 100) => {
  const audio = { paused: true, currentTime: 0, playbackRate: 1, set: 0, async play() {
    this.paused = false;
    this.set += 1;
  }, pause() {
    this.paused = true;
  } };
  const track = new Track(audio);
  const event = { second: 10, at: 4, loop: 1, eight: 1, link: { i: 1 } };
  const caller = { at: 4, now: 0, wanted: { speed }, plan: { events: [event] } };
  track.begin(caller);
  return { audio, track, caller, event };
};

test("begins at the second that is danced, at the speed that is danced", () => {
  const { audio, track, caller } = made(60);
  caller.at = 5;
  track.follow(caller);
  assert.deepEqual([audio.currentTime, audio.playbackRate, audio.paused], [10.6, 0.6, false]);
});

test("waits until the music has begun", () => {
  const { audio, track, caller, event } = made();
  event.second = -1;
  track.follow(caller);
  assert.equal(audio.paused, true);
});

test("learns how late it begins, and bends what is left", () => {
  const { audio, track, caller } = made();
  track.follow(caller);
  caller.at = 4.2;
  audio.currentTime = 10.1;
  track.follow(caller);
  assert.equal(audio.set, 1, "too soon to tell");
  caller.at = 4.25;
  audio.currentTime = 10.15;
  track.follow(caller);
  assert.equal(audio.set, 2);
  assert.ok(Math.abs(track.lead - 0.1) < 1e-9 && Math.abs(audio.currentTime - 10.35) < 1e-9);
  caller.at = 4.5;
  audio.currentTime = 10.49;
  track.follow(caller);
  assert.equal(audio.set, 2, "near enough");
  assert.ok(audio.playbackRate > 1 && audio.playbackRate <= 1.05);
  caller.at = 4.6;
  audio.currentTime = 10.6;
  track.follow(caller);
  assert.equal(audio.playbackRate, 1);
});

test("is set again at an eight where it is far off, once an eight", () => {
  const { audio, track, caller, event } = made();
  track.follow(caller);
  track.tries = Track.TRIES;
  const late = (at, eight) => {
    caller.at = at;
    event.eight = eight;
    audio.currentTime = 10 + (at - 4) - 0.5;
    track.follow(caller);
    return audio.set;
  };
  assert.equal(late(5, 1), 2);
  track.tries = Track.TRIES;
  assert.equal(late(6, 1), 2);
  assert.equal(late(7, 2), 3);
});
