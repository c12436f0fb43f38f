// A key of its own for something that is said: by it the server knows what it has taken in already.
export const key = () =>
  Array.from(crypto.getRandomValues(new Uint32Array(3)), number => number.toString(36).padStart(7, "0")).join("");
