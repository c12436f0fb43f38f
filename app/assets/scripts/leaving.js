// What the room keeps on this device: signing out while something is unsent is asked about first, and signing out, or a
// day that has passed, erases what is not needed any more. What is unsent is never erased.
(() => {
  const SAID = "room-said";
  const FACTS = "room-facts-";

  const read = (name, otherwise) => {
    try {
      return JSON.parse(localStorage.getItem(name)) || otherwise;
    } catch {
      return otherwise;
    }
  };
  const unsent = () => read(SAID, []).filter(each => each.state === "waiting").length;
  const facts = () => Object.keys(localStorage).filter(name => name.startsWith(FACTS));
  const forgetPages = () => "caches" in window && caches.keys().then(all => all.forEach(name => caches.delete(name)));

  // Rehearsals before yesterday.
  const old = name => {
    const yesterday = new Date(Date.now() - 86400000).toISOString().slice(0, 10);
    return read(name, { rehearsal: { date: "" } }).rehearsal.date < yesterday;
  };
  const before = Date.now() - 2 * 86400000;
  const said = read(SAID, []);
  const needed = said.filter(each => each.state === "waiting" || each.entry.at > before);
  if (needed.length < said.length) localStorage.setItem(SAID, JSON.stringify(needed));
  const past = facts().filter(old);
  past.forEach(name => localStorage.removeItem(name));
  if (past.length > 0 && facts().length === 0) forgetPages();

  document.addEventListener("submit", event => {
    if (!/^\/sign-out(-everywhere)?$/.test(event.target.getAttribute("action") || "")) return;
    const count = unsent();
    const question =
      `${count} entries from the room are unsent. ` +
      "They stay on this device until somebody signs in here. Sign out?";
    if (count > 0 && !window.confirm(question)) {
      event.preventDefault();
      return;
    }
    facts().forEach(name => localStorage.removeItem(name));
    forgetPages();
  });
})();
