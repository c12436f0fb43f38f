// A clip on the counts: it opens at the second that was asked for, jumps to what is tapped, and says with a tap on a
// count at which second that was.
export const clips = Alpine => {
  // A file that is too large is told before it is sent: the server would only cut the line.
  Alpine.data("fileLimit", () => ({
    told: "",
    look(event) {
      const [file] = event.target.files;
      const most = Number(this.$el.closest("[data-most]").dataset.most);
      const size = file ? Math.ceil(file.size / 1048576) : 0;
      const large = size > most;
      this.told = large ? `This file has ${size} MB; it may have ${most}. Make it shorter, or save it smaller.` : "";
      if (large) event.target.value = "";
    },
  }));

  Alpine.data("clip", () => ({
    now: 0,
    init() {
      const { video } = this.$refs;
      const second = Number(this.$el.dataset.second);
      const open = () => second > 0 && this.seek(second);
      if (video.readyState > 0) open();
      else video.addEventListener("loadedmetadata", open, { once: true });
      video.addEventListener("timeupdate", () => this.keep());
    },
    keep() {
      this.now = this.$refs.video.currentTime;
    },
    seek(second) {
      this.$refs.video.currentTime = second;
      this.now = second;
    },
    open(event) {
      event.preventDefault();
      this.seek(Number(event.currentTarget.dataset.second));
      this.$refs.video.play().catch(() => null);
    },
    // The second goes with the count that is tapped.
    mark() {
      this.keep();
      this.$refs.second.value = this.now.toFixed(3);
    },
    get said() {
      const whole = Math.floor(this.now);
      return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
    },
  }));
};
