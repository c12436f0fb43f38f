// What a page has and node has not: a storage, and a server that answers as it is told.
import { webcrypto } from "node:crypto";
import { readFileSync } from "node:fs";

// Debian 12 has a node that does not hand it out by itself.
globalThis.crypto ??= webcrypto;

export const cases = name => JSON.parse(readFileSync(new URL(`../corpus/${name}.json`, import.meta.url), "utf8"));

export const storage = () => {
  const kept = new Map();
  return {
    getItem: name => (kept.has(name) ? kept.get(name) : null),
    setItem: (name, value) => kept.set(name, String(value)),
    removeItem: name => kept.delete(name),
    get length() {
      return kept.size;
    },
    kept,
  };
};

// Puts a fetch in place that asks `answer(path, options)` for [status, body], or "cut".
export const server = answer => {
  const asked = [];
  globalThis.fetch = async (path, options = {}) => {
    asked.push([path, options]);
    const said = answer(path, options, asked.length);
    if (said === "cut") throw new TypeError("cut");
    const [status, body] = said;
    return new Response(typeof body === "string" ? body : JSON.stringify(body), { status });
  };
  return asked;
};
