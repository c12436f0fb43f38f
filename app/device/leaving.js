import { Keeping } from "./keeping.js";

// On every page: whose device this is now, what has had its time (Keeping), and the question before somebody signs out
// while something from the room is unsent.
export const leaving = () => {
  Keeping.meet(document.querySelector("meta[name=owner]")?.content);
  Keeping.tidy();
  const unsent = () => Keeping.read(Keeping.SAID, []).filter(each => each.state === "waiting").length;

  document.addEventListener("submit", event => {
    if (!/^\/sign-out(-everywhere)?$/.test(event.target.getAttribute("action") || "")) return;
    const count = unsent();
    const question =
      `${count} entries from the room are unsent. ` +
      "They stay on this device until you sign in here again. Sign out?";
    if (count > 0 && !window.confirm(question)) {
      event.preventDefault();
      return;
    }
    Keeping.erase();
  });
};
