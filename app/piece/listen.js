import { send } from "../device/api.js";

// A tempo proposed from the rehearsal track. The browser decodes what it can play, to how much louder it becomes every
// hundredth of a second; the core finds the tempo in that. Nothing is saved.
export const listen = Alpine => {
  const RATE = 100;
  const SECONDS = 90;

  // How much louder each hundredth of a second is than the one before, 0 to 1.
  const onsets = sound => {
    const hop = sound.sampleRate / RATE;
    const count = Math.min(Math.floor(sound.length / hop), SECONDS * RATE);
    const channels = Array.from({ length: sound.numberOfChannels }, (_, i) => sound.getChannelData(i));
    const loud = Array.from({ length: count }, (_, i) => {
      let power = 0;
      const from = Math.floor(i * hop);
      const to = Math.floor((i + 1) * hop);
      for (const channel of channels) for (let at = from; at < to; at += 1) power += channel[at] * channel[at];
      return Math.log(1e-7 + power / (to - from) / channels.length);
    });
    return loud.map((each, i) => Math.round(Math.max(0, each - (loud[i - 1] ?? each)) * 100) / 100);
  };

  Alpine.data("listen", () => ({
    told: "",
    busy: false,
    choices: [],
    async start() {
      this.busy = true;
      this.choices = [];
      this.told = this.$root.dataset.listening;
      const found = await this.hear().catch(() => ({ text: this.$root.dataset.failed }));
      this.told = found.text;
      this.choices = found.choices || [];
      this.busy = false;
    },
    async hear() {
      const file = await fetch(this.$root.dataset.track);
      const bytes = await file.arrayBuffer();
      const context = new OfflineAudioContext(1, 44100, 44100);
      const sound = await context.decodeAudioData(bytes);
      const { standing, body } = await send("/onsets", { onsets: onsets(sound) }, { seconds: 60 });
      if (standing === "away") throw new Error("no answer");
      return body;
    },
    use(bpm) {
      const tempo = document.getElementById("tempo");
      tempo.value = [bpm, ...tempo.value.split("\n").slice(1)].join("\n");
      tempo.focus();
    },
  }));
};
