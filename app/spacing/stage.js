import { send } from "../device/api.js";

// The floor from above: dancers dragged or moved by keys, turned, pinned; the way there walked on the counts.
export const stage = Alpine => {
  Alpine.data("stage", () => ({
    told: "",
    playing: false,
    init() {
      this.data = JSON.parse(this.$root.dataset.stage);
      this.spots = new Map(this.data.spots.map(spot => [String(spot.p), spot]));
      this.can = this.$root.dataset.can === "true";
      this.box = this.$root;
    },
    svg() {
      return this.$refs.floor.querySelector("svg");
    },
    mark(id) {
      return this.svg().querySelector(`[data-p="${id}"]`);
    },
    // Metres to the drawing's own units, as the page drew it.
    x(metres) {
      return this.svg().viewBox.baseVal.width / 2 + metres * this.data.scale;
    },
    y(metres) {
      return 26 + (this.data.depth - metres) * this.data.scale;
    },
    put(id, x, y) {
      this.mark(id).setAttribute("transform", `translate(${this.x(x)} ${this.y(y)})`);
    },

    down(event) {
      const mark = event.target.closest("[data-p]");
      if (!mark || !this.can) return;
      const spot = this.spots.get(mark.dataset.p);
      const ratio =
        this.svg().viewBox.baseVal.width / this.svg().getBoundingClientRect().width / this.data.scale;
      const from = { x: event.clientX, y: event.clientY, sx: spot.x, sy: spot.y };
      mark.setPointerCapture(event.pointerId);
      mark.focus();
      mark.onpointermove = moved => {
        spot.x = from.sx + (moved.clientX - from.x) * ratio;
        spot.y = from.sy - (moved.clientY - from.y) * ratio;
        this.put(mark.dataset.p, spot.x, spot.y);
      };
      mark.onpointerup = () => {
        mark.onpointermove = null;
        mark.onpointerup = null;
        if (spot.x !== from.sx || spot.y !== from.sy) this.save();
      };
    },
    key(event) {
      const mark = event.target.closest("[data-p]");
      if (!mark || !this.can) return;
      const spot = this.spots.get(mark.dataset.p);
      const step = event.shiftKey ? 0.1 : 0.25;
      const move = {
        ArrowLeft: [-step, 0],
        ArrowRight: [step, 0],
        ArrowUp: [0, step],
        ArrowDown: [0, -step],
      }[event.key];
      if (move) {
        spot.x += move[0];
        spot.y += move[1];
      } else if (event.key === "f" || event.key === "F") spot.f = (spot.f % 8) + 1;
      else if (event.key === "p" || event.key === "P") spot.pin = !spot.pin;
      else return;
      event.preventDefault();
      this.put(mark.dataset.p, spot.x, spot.y);
      mark.classList.toggle("pinned", spot.pin);
      mark.querySelector("g").setAttribute("transform", `rotate(${(spot.f - 1) * 45})`);
      clearTimeout(this.timer);
      this.timer = setTimeout(() => this.save(), 400);
    },
    async save() {
      const { standing, body: said } = await send(this.box.dataset.url, {
        moment: this.box.dataset.moment,
        version: this.data.version,
        spots: [...this.spots.values()],
      });
      if (standing !== "ok") {
        const away = standing === "away" && "No connection just now: what you moved is not saved yet.";
        this.told = said.base || away || "That could not be saved.";
        return;
      }
      this.data.version = said.version;
      this.told = "Saved.";
      const page = new DOMParser().parseFromString(said.html, "text/html");
      this.$refs.facts.replaceChildren(...page.body.childNodes);
      this.svg()
        .querySelectorAll("line[data-way]")
        .forEach(line => {
          const spot = this.spots.get(line.dataset.way);
          line.setAttribute("x2", this.x(spot.x));
          line.setAttribute("y2", this.y(spot.y));
        });
    },

    // A share of the way, 0 to 1, straight and even.
    show(share) {
      this.spots.forEach((spot, id) => {
        const from = this.data.before[id] || [spot.x, spot.y];
        this.put(id, from[0] + (spot.x - from[0]) * share, from[1] + (spot.y - from[1]) * share);
      });
    },
    scrub() {
      this.show(Number(this.$refs.range.value) / 100);
    },
    play() {
      this.playing = !this.playing;
      if (!this.playing) {
        this.show(1);
        return;
      }
      const length = Math.max(this.data.counts, 2) * 540;
      let began = null;
      const frame = now => {
        if (!this.playing) return;
        began = began || now;
        const share = Math.min((now - began) / length, 1);
        this.$refs.range.value = share * 100;
        this.show(share);
        if (share < 1) requestAnimationFrame(frame);
        else this.playing = false;
      };
      requestAnimationFrame(frame);
    },
    onCount(event) {
      const count = event.target.value.replace(/\D/g, "");
      if (count) event.target.value = `count-${count}`;
      event.target.form.requestSubmit();
    },
  }));

  // Who is out: the sheet follows each tap.
  Alpine.data("holes", () => ({
    go() {
      this.$root.requestSubmit();
    },
  }));
};
