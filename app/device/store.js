// Values kept in the browser under a name, as JSON. What cannot be read, or not be kept, is as if it was not there.
export const store = (storage = () => localStorage) => ({
  read(name, otherwise = null) {
    try {
      return JSON.parse(storage().getItem(name)) || otherwise;
    } catch {
      return otherwise;
    }
  },
  // Whether there was space for it.
  write(name, value) {
    try {
      storage().setItem(name, JSON.stringify(value));
      return true;
    } catch {
      return false;
    }
  },
  drop(name) {
    storage().removeItem(name);
  },
});

export const device = store();
export const tab = store(() => sessionStorage);
