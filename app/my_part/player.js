import { Caller } from "../room/caller.js";
import { Track } from "../room/track.js";

// Practising at home: the caller for one's own line, slow or at tempo, so often, with the track where there is one.
// Only what was taught is counted.
export const player = Alpine => {
  Alpine.data("myPlayer", () => ({
    playing: false,
    big: "",
    eight: 0,
    link: 0,
    speed: 60,
    loops: 1,
    row: 1,
    wantsTrack: false,
    hasTrack: false,

    init() {
      const element = document.getElementById("my-score");
      this.score = element ? JSON.parse(element.textContent) : null;
      this.hasTrack = Boolean(this.score && this.score.track);
    },
    slow() {
      this.speed = 60;
    },
    full() {
      this.speed = 100;
    },
    from(event) {
      this.row = Number(event.target.value);
    },
    times(event) {
      this.loops = Number(event.target.value);
    },
    music(event) {
      this.wantsTrack = event.target.checked;
    },
    async go() {
      if (this.playing) {
        this.stop();
        return;
      }
      this.caller = this.caller || this.made();
      const { beats, toRow, links } = this.score;
      this.caller.track = this.wantsTrack ? await this.track() : null;
      const wanted = { from: 1, to: links.length, row: this.row, toRow, speed: this.speed, loops: this.loops };
      const sound = this.caller.track ? "track" : "numbers";
      this.playing = await this.caller.start({ ...wanted, rest: 8, countIn: beats, sound });
    },
    made() {
      return new Caller(this.score, {
        shown: event => this.show(event),
        passed: () => null,
        ended: () => this.stop(),
      });
    },
    show(event) {
      this.big = String(event.called);
      this.eight = event.kind === "count" ? event.eight : 0;
      this.link = event.kind === "count" ? event.link.i : 0;
    },
    stop() {
      if (this.caller) this.caller.stop();
      this.playing = false;
      this.eight = 0;
      this.link = 0;
    },
    async track() {
      const audio = this.$refs.track;
      if (this.player) return this.player;
      const answer = await fetch(this.score.track.url).catch(() => null);
      if (!answer || !answer.ok) return null;
      audio.src = URL.createObjectURL(await answer.blob());
      this.player = new Track(audio);
      return this.player;
    },
  }));
};
