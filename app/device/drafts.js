import { tab } from "./store.js";

// What is typed into a form and not saved yet, kept in this tab. Sending a form does not take its draft away: the
// answer may never come. The page that says it was saved does. A draft of another version of what is edited is not put
// in by itself; the form offers it.
const name = form => `draft:${form.getAttribute("action")}`;
const version = form => form.dataset.version || form.elements.lock_version?.value || "";

export const drafts = {
  keep(form, fields) {
    tab.write(name(form), { version: version(form), fields });
  },
  // { fields, current } of a form, or null. current: made of the version that the form shows. What stands in the form
  // already is no draft any more.
  read(form) {
    const kept = tab.read(name(form));
    if (!kept || !Array.isArray(kept.fields)) return null;
    if (kept.fields.every(([field, value]) => form.elements[field]?.value === value)) return null;
    return { fields: kept.fields, current: kept.version === version(form) };
  },
  drop(form) {
    tab.drop(name(form));
  },
  // What a page says was saved is no draft any more.
  settle(page = document) {
    page.querySelectorAll("[data-saved]").forEach(each => tab.drop(`draft:${each.dataset.saved}`));
  },
};
