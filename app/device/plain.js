// Marks what is only read: Alpine would else watch every field of it, which costs more than drawing.
export const plain = thing => Object.defineProperty(thing, "__v_skip", { value: true });
