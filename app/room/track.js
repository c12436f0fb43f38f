import { plain } from "../device/plain.js";

// The rehearsal track beside the caller: played from the right second at the speed that is danced, its pitch kept. A
// player begins a little late, on every device by another time: that is learned from how far off it then is. Afterwards
// it is bent, and at an eight where it is far off it is set right again.
export class Track {
  // Seconds that it may be off: just after it was set, before it is bent, and before it is set again.
  static NEAR = 0.02;
  static BEND = 0.008;
  static JUMP = 0.1;
  // Seconds until it can be told how far off it is.
  static SETTLE = 0.25;
  static TRIES = 4;

  constructor(audio) {
    plain(this);
    this.audio = audio;
    this.off = 0;
    this.lead = 0;
    audio.preservesPitch = true;
  }

  begin(caller) {
    this.speed = caller.wanted.speed / 100;
    this.loop = 0;
    this.eight = null;
    this.tries = 0;
  }
  pause() {
    this.audio.pause();
  }

  // The second of the recording that belongs to where the caller is.
  second(caller, event) {
    return event.second + (caller.at - event.at) * this.speed;
  }
  // Whether how far off it is can be told by now.
  settled(caller) {
    return !this.audio.paused && caller.at >= this.settles;
  }

  follow(caller) {
    const event = caller.plan.events[caller.now];
    if (!event || this.second(caller, event) < 0) return;
    const second = this.second(caller, event);
    if (this.audio.paused || this.loop !== event.loop) {
      this.loop = event.loop;
      this.tries = 0;
      this.set(caller, second);
    } else if (this.settled(caller)) {
      this.off = this.audio.currentTime - second;
      this.right(caller, event, second);
    }
  }
  set(caller, second) {
    this.audio.playbackRate = this.speed;
    this.audio.currentTime = second + this.lead;
    this.audio.play().catch(() => null);
    this.settles = caller.at + Track.SETTLE;
  }
  right(caller, event, second) {
    const far = Math.abs(this.off);
    const eight = `${event.link ? event.link.i : 0}-${event.eight}-${event.loop}`;
    const anew = far > Track.JUMP && eight !== this.eight;
    if ((far > Track.NEAR && this.tries < Track.TRIES) || anew) {
      this.tries = anew ? 0 : this.tries + 1;
      this.eight = eight;
      this.lead = Math.max(Math.min(this.lead - this.off, 0.4), -0.1);
      this.set(caller, second);
      return;
    }
    this.tries = Track.TRIES;
    const bend = far > Track.BEND ? Math.max(Math.min(-this.off * 2, 0.05), -0.05) : 0;
    this.audio.playbackRate = this.speed * (1 + bend);
  }
}
