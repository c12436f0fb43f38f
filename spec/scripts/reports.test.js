import assert from "node:assert/strict";
import { test } from "node:test";
import { store } from "../../app/device/store.js";
import { Reports } from "../../app/my_part/reports.js";
import { server, storage } from "./support.js";

const made = answer => {
  const kept = storage();
  const told = [];
  const sent = [];
  server((path, options) => {
    if (path.endsWith("/form-token")) return answer.token ?? [200, { token: "t" }];
    sent.push(JSON.parse(options.body));
    return answer.report;
  });
  const reports = new Reports("/my/abc", store(() => kept), (report, why) => told.push([report.item, why]));
  reports.add({ piece: "1", item: "s4", rung: "2", name: "Verse" });
  return { reports, told, sent };
};

test("sends its key with it, and forgets it once it was taken in", async () => {
  const { reports, told, sent } = made({ report: [200, { why: null }] });
  const [{ client }] = reports.all();
  assert.equal(await reports.flush(), true);
  assert.deepEqual(sent, [{ client, piece: "1", item: "s4", rung: 2 }]);
  assert.deepEqual([told, reports.all()], [[["s4", ""]], []]);
});

test("keeps it under the same key where there is no answer, and waits longer each time", async () => {
  const { reports, told, sent } = made({ report: "cut" });
  const waits = [];
  for (let i = 0; i < 3; i += 1) {
    assert.equal(await reports.flush(), false);
    waits.push(reports.wait);
  }
  assert.deepEqual(waits, [20000, 30000, 30000]);
  assert.equal(new Set(sent.map(each => each.client)).size, 1);
  assert.deepEqual([told, reports.all().length], [[], 1]);
});

test("stops trying on answers that will not change, and says why", async () => {
  const gone = "This could not be taken in. Tell whoever teaches it.";
  const answers = [
    [{ report: [422, { why: "That is not yours." }] }, "That is not yours."],
    [{ report: [403, {}] }, gone], [{ report: [404, ""] }, gone], [{ token: [404, ""] }, gone],
  ];
  for (const [answer, why] of answers) {
    const { reports, told } = made(answer);
    assert.equal(await reports.flush(), true);
    assert.deepEqual([told, reports.all()], [[["s4", why]], []]);
  }
});
