import { KEPT } from "../device/keeper.js";

const DAYS = 14 * 86400000;
const OWN = /^\/my\/[\w-]+$/;

// A dancer's own pages on the phone, for fourteen days. A link that was taken back (404 or 410 of the page itself)
// erases them at once.
export const MINE = {
  name: "my",
  page: /^\/my\/[\w-]+(\/(links|memory|top)\/\d+)?$/,
  music: /^\/my\/[\w-]+\/track\/\d+$/,
  shown: (headers, now) => now - Number(headers.get(KEPT)) < DAYS,
  gone: (answer, request) => [404, 410].includes(answer.status) && OWN.test(new URL(request.url).pathname),
};
