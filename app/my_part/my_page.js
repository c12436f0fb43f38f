// A dancer's own page on a phone: kept for when there is no network; what is reported then is sent once there is one.
document.addEventListener("alpine:init", () => {
  Alpine.data("myPage", () => ({
    NAME: "my-said",
    SENT: "my-sent",
    told: "",
    sent: "",
    away: false,

    init() {
      this.token = this.$el.dataset.token;
      this.pages = [...this.$el.querySelectorAll("a[href^='/my/']")].map(each => each.getAttribute("href"));
      this.sent = sessionStorage.getItem(this.SENT) ? this.$el.dataset.sent : "";
      sessionStorage.removeItem(this.SENT);
      window.addEventListener("online", () => this.send());
      setInterval(() => this.send(), 10000);
      this.send();
      this.keep();
    },
    async keep() {
      if (!("serviceWorker" in navigator) || !window.isSecureContext) return;
      // Parts first, so that a page that is kept has what it needs.
      const fetchAll = async () => {
        const loaded = performance.getEntriesByType("resource").map(each => each.name);
        const sounds = Array.from({ length: 9 }, (_, i) => `/sounds/${i + 1}.wav`);
        const own = ["/scripts/room_queue.js", "/scripts/room_caller.js", "/scripts/my_player.js"];
        await Promise.all([...own, ...sounds, ...loaded].map(url => fetch(url).catch(() => null)));
        await fetch(location.href).catch(() => null);
        this.pages.forEach(url => fetch(url).catch(() => null));
      };
      navigator.serviceWorker.addEventListener("controllerchange", fetchAll);
      await navigator.serviceWorker.register("/my-keeper.js", { scope: "/my/" }).catch(() => null);
      if (navigator.serviceWorker.controller) fetchAll();
    },

    all() {
      try {
        return JSON.parse(localStorage.getItem(this.NAME)) || [];
      } catch {
        return [];
      }
    },
    save(list) {
      localStorage.setItem(this.NAME, JSON.stringify(list));
      this.draw();
    },
    draw() {
      const waiting = this.all().length;
      this.told = waiting > 0 ? `${waiting} not sent yet: it goes as soon as there is a network.` : this.sent;
    },
    // What is reported is kept until it was taken in.
    report(event) {
      event.preventDefault();
      const form = event.target.closest("form");
      const rung = event.submitter ? event.submitter.value : "";
      const client = Array.from(crypto.getRandomValues(new Uint32Array(3)), n => n.toString(36)).join("");
      const { piece, item } = Object.fromEntries(new FormData(form));
      this.save([...this.all(), { client, piece, item, rung, name: form.dataset.name }]);
      form.closest("details").open = false;
      this.send();
    },
    async send() {
      const [first] = this.all();
      if (!first || this.busy) return this.draw();
      this.busy = true;
      const answer = await this.post(first).finally(() => (this.busy = false));
      if (answer === null) return this.draw();
      this.save(this.all().filter(each => each.client !== first.client));
      return answer === "" ? this.done() : this.refused(first, answer);
    },
    done() {
      if (this.all().length > 0) return this.send();
      sessionStorage.setItem(this.SENT, "yes");
      location.reload();
    },
    refused(said, why) {
      this.sent = `${said.name}: ${why}`;
      return this.all().length > 0 ? this.send() : this.draw();
    },
    // "" where it was taken in, why not where it was refused, null where it has to be sent again.
    async post(said) {
      const token = await fetch(`/my/${this.token}/form-token`).then(answer => answer.json()).catch(() => null);
      if (!token) return null;
      const answer = await fetch(`/my/${this.token}/reports`, {
        method: "POST",
        headers: { "Content-Type": "application/json", Accept: "application/json", "X-CSRF-Token": token.token },
        body: JSON.stringify({ piece: said.piece, item: said.item, rung: Number(said.rung) }),
      }).catch(() => null);
      if (!answer || (answer.status !== 200 && answer.status !== 422)) return null;
      const { why } = await answer.json();
      return why || "";
    },
  }));
});
