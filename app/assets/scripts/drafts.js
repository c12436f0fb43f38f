// What is typed into a form and not saved yet, kept in this tab. Sending a form does not take its draft away: the
// answer may never come. The page that says it was saved does. A draft of another version of what is edited is not put
// in by itself; the form offers it.
document.addEventListener("alpine:init", () => {
  const key = form => `draft:${form.getAttribute("action")}`;
  const version = form => form.dataset.version || form.elements.lock_version?.value || "";

  window.drafts = {
    keep(form, fields) {
      sessionStorage.setItem(key(form), JSON.stringify({ version: version(form), fields }));
    },
    // { fields, current } of a form, or null. current: made of the version that the form shows. What stands in the form
    // already is no draft any more.
    read(form) {
      const kept = JSON.parse(sessionStorage.getItem(key(form)) || "null");
      if (!kept || !Array.isArray(kept.fields)) return null;
      if (kept.fields.every(([name, value]) => form.elements[name]?.value === value)) return null;
      return { fields: kept.fields, current: kept.version === version(form) };
    },
    drop(form) {
      sessionStorage.removeItem(key(form));
    },
  };

  document.querySelectorAll("[data-saved]").forEach(each => {
    sessionStorage.removeItem(`draft:${each.dataset.saved}`);
  });
});
