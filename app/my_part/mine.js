import { device, tab } from "../device/store.js";
import { Reports } from "./reports.js";

// A dancer's own page on a phone: kept for when there is no network; what is reported then is sent once there is one.
export const mine = Alpine => {
  Alpine.data("myPage", () => ({
    SENT: "my-sent",
    told: "",
    sent: "",
    away: false,

    init() {
      this.address = `/my/${this.$el.dataset.token}`;
      this.pages = [...this.$el.querySelectorAll("a[href^='/my/']")].map(each => each.getAttribute("href"));
      this.sent = tab.read(this.SENT) ? this.$el.dataset.sent : "";
      tab.drop(this.SENT);
      this.reports = new Reports(this.address, device, (report, why) => this.heard(report, why));
      window.addEventListener("online", () => this.send());
      this.send();
      this.keep();
    },
    async keep() {
      if (!("serviceWorker" in navigator) || !window.isSecureContext) return;
      // Parts first, so that a page that is kept has what it needs.
      const fetchAll = async () => {
        const loaded = performance.getEntriesByType("resource").map(each => each.name);
        const sounds = Array.from({ length: 9 }, (_, i) => `/sounds/${i + 1}.wav`);
        await Promise.all([...sounds, ...loaded].map(url => fetch(url).catch(() => null)));
        await fetch(location.href).catch(() => null);
        this.pages.forEach(url => fetch(url).catch(() => null));
      };
      navigator.serviceWorker.addEventListener("controllerchange", fetchAll);
      await navigator.serviceWorker.register("/my-keeper.js", { scope: "/my/" }).catch(() => null);
      if (navigator.serviceWorker.controller) fetchAll();
    },

    draw() {
      const waiting = this.reports.all().length;
      this.told = waiting > 0 ? `${waiting} not sent yet: it goes as soon as there is a network.` : this.sent;
    },
    // What is reported is kept until it was taken in.
    report(event) {
      event.preventDefault();
      const form = event.target.closest("form");
      const rung = event.submitter ? event.submitter.value : "";
      const { piece, item } = Object.fromEntries(new FormData(form));
      this.reports.add({ piece, item, rung, name: form.dataset.name });
      form.closest("details").open = false;
      this.send();
    },
    async send() {
      clearTimeout(this.timer);
      this.draw();
      this.took = false;
      const all = await this.reports.flush();
      this.draw();
      if (all && this.took) this.done();
      else if (!all) this.timer = setTimeout(() => this.send(), this.reports.wait);
    },
    heard(report, why) {
      if (why) this.sent = `${report.name}: ${why}`;
      else this.took = true;
    },
    done() {
      tab.write(this.SENT, "yes");
      location.reload();
    },
  }));
};
