import { Keeping } from "../device/keeping.js";

// The room's page, until twelve hours after the rehearsal. Whoever is signed out, or whose rehearsal is gone, keeps
// nothing.
export const ROOM = {
  name: "room",
  page: /^\/rehearsals\/\d+\/room$/,
  music: /^\/pieces\/\d+\/track\/\d+$/,
  shown: (headers, now) => !Keeping.over(headers.get(Keeping.UNTIL), now),
  gone: answer => !answer.ok,
};
