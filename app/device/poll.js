import { ask, backoff } from "./api.js";

const later = (what, wait) => setTimeout(what, wait);

// Asks how far something is until `told` has had enough. told: called with each answer, true ends it; out: called with
// a sentence where nobody is signed in any more; wait: what waits. Where there is no answer it asks less and less
// often.
export const poll = (path, every, told, out, wait = later) => {
  let misses = 0;
  const again = async () => {
    const answer = await ask(path);
    if (answer.standing === "signed-out") return out("You are signed out. Sign in again to see how far this is.");
    if (answer.standing === "gone") return out("This is not there any more.");
    misses = answer.standing === "ok" ? 0 : misses + 1;
    if (answer.standing === "ok" && told(answer.body)) return null;
    return wait(again, backoff(misses, every));
  };
  return again();
};
