// What a device asks of the server: one way for every page, with the page's token, a limit of time, and an answer that
// is never thrown.

// Seconds until no answer is an answer.
const PATIENCE = 15;

export const token = () => document.querySelector("meta[name=csrf-token]")?.content ?? "";

// How an answer stands: "ok", "away" (no network, or the server in trouble: again later), "signed-out", "gone" or
// "refused" (it will not change).
export const standing = answer => {
  if (!answer || answer.status >= 500 || answer.status === 429) return "away";
  if (answer.status === 401) return "signed-out";
  if (answer.status === 404 || answer.status === 410) return "gone";
  return answer.ok ? "ok" : "refused";
};

// { status, standing, text, body } of a request; body is what its JSON holds, {} where it holds none.
export const ask = async (path, options = {}, seconds = PATIENCE) => {
  const stop = new AbortController();
  const timer = setTimeout(() => stop.abort(), seconds * 1000);
  try {
    const headers = { Accept: "application/json", ...options.headers };
    const answer = await fetch(path, { ...options, headers, signal: stop.signal });
    const text = await answer.text();
    return { status: answer.status, standing: standing(answer), text, body: read(text) };
  } catch {
    return { status: 0, standing: "away", text: "", body: {} };
  } finally {
    clearTimeout(timer);
  }
};

const read = text => {
  try {
    return JSON.parse(text) ?? {};
  } catch {
    return {};
  }
};

// Sends data as JSON.
export const send = (path, data, { key = token(), seconds } = {}) => {
  const headers = { "Content-Type": "application/json", "X-CSRF-Token": key };
  return ask(path, { method: "POST", headers, body: JSON.stringify(data) }, seconds);
};

// Sends a form for a preview. The form's own key is for saving it: a preview that comes late must not be taken for a
// second sending.
export const preview = (path, form, sequence) => {
  const body = new FormData(form);
  body.set("sequence", sequence);
  body.delete("authenticity_token");
  return ask(path, { method: "POST", body, headers: { "X-CSRF-Token": token(), Accept: "text/html" } });
};

// Milliseconds until something is asked again that was not answered so many times: twice as long each time, half a
// minute at most.
export const backoff = (misses, every) => Math.min(every * 2 ** misses, Math.max(30000, every));
