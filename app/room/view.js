import { plain } from "../device/plain.js";

// The evening as this device sees it: what the server answered last, and on top of it what was said here since.
export const View = {
  // facts: as the server gave them; said: entries in order; minute: of the day.
  of(facts, said, minute) {
    const undone = new Set(said.filter(entry => entry.kind === "undo").map(entry => entry.of));
    const view = {
      here: { ...facts.here },
      guests: { ...facts.guests },
      passes: { ...facts.passes },
      cells: Object.fromEntries(Object.entries(facts.cells).map(([key, own]) => [key, { ...own }])),
      notes: [...facts.notes],
      run: facts.run,
      troubles: facts.run ? [...facts.run.troubles] : [],
      people: [...facts.people],
      lines: facts.lines.map(View.line),
      stale: false,
      facts,
    };
    said.forEach(entry => {
      if (entry.kind === "undo") View.undo(view, entry, said);
      else if (!undone.has(entry.client)) View.say[entry.kind](view, entry);
    });
    view.lines = View.lay(view.lines, minute);
    return plain(view);
  },

  // from: the minute before which it does not begin by itself; told: the one for which its people were told to come.
  // What a device kept from before these were said has neither.
  line([slot, start, finish, state, lost, begun, minutes, from = start, told = start]) {
    return { slot, start, finish, state, lost, begun, minutes, from, told, ended: state === "done" };
  },

  // When everything comes: nothing before it was planned, each after the one before; what was dropped stands last.
  lay(lines, minute) {
    const open = lines.some(line => line.begun && line.state === "running");
    let cursor = 0;
    const going = lines.filter(line => line.state !== "dropped").map(line => {
      const laid = View.placed(line, cursor, minute, open);
      cursor = Math.max(cursor, laid.finish);
      return laid;
    });
    return [...going, ...lines.filter(line => line.state === "dropped")];
  },
  placed(line, cursor, minute, open) {
    if (line.ended) return line;
    if (line.begun) return { ...line, finish: Math.max(line.start + line.minutes, Math.ceil(minute)) };
    const start = Math.max(line.from, cursor);
    const finish = start + line.minutes;
    const ahead = start > minute || (open && line.state === "ahead");
    return { ...line, start, finish, state: ahead ? "ahead" : finish > minute ? "running" : "done" };
  },

  // Whom an entry means: a newcomer's key stands for them until the server has given them a number.
  whom(view, person) {
    const added = String(person).startsWith("c:") && view.people.find(each => each.key === person.slice(2));
    return String(added ? added.id : person);
  },

  say: {
    here(view, entry) {
      if (entry.guest) {
        view.guests[entry.guest] = entry.state;
        return;
      }
      const person = View.whom(view, entry.person);
      const before = view.here[person];
      const late = entry.state === "late" ? entry.minute + view.facts.rehearsal.warm_up : null;
      const still = entry.state === "present" || entry.state === "absent" ? null : before && before[2];
      view.here[person] = [entry.state, entry.minute, late || still || null];
    },
    newcomer(view, entry) {
      if (view.people.some(person => person.key === entry.client)) return;
      const named = { id: `c:${entry.client}`, name: entry.name, short: entry.name.split(" ")[0] };
      view.people.push({ ...named, groups: "", rings: "", called: null, dances: true, fresh: true });
    },
    pass(view, entry) {
      view.passes[entry.slot] = (view.passes[entry.slot] || 0) + 1;
    },
    tick(view, entry) {
      entry.cells.split(" ").forEach(cell => {
        const at = cell.lastIndexOf(":");
        const [person, item] = [View.whom(view, cell.slice(0, at)), cell.slice(at + 1)];
        const own = (view.cells[item] = view.cells[item] || {});
        own[person] = Math.max(own[person] || 0, Number(entry.rung));
      });
    },
    note(view, entry) {
      if (entry.note !== "promise" && entry.note !== "question") return;
      view.notes.push({ key: entry.client, kind: entry.note, text: entry.text, by: "" });
    },
    run(view, entry) {
      view.run = { client: entry.client, kind: entry.run_kind };
      view.troubles = [];
    },
    run_step(view, entry) {
      if (view.run && view.run.client === entry.run && entry.step === "end") view.run = null;
    },
    trouble(view, entry) {
      if (!view.run || view.run.client !== entry.run) return;
      view.troubles = view.troubles.filter(each => each.client !== entry.client);
      view.troubles.push({ client: entry.client, name: entry.name, kind: "", people: "", group: "", everyone: false });
    },
    word(view, entry) {
      const { of, kind_of: kind, group, people, everyone } = entry;
      const said = { kind, group, people, everyone };
      view.troubles = view.troubles.map(each => (each.client === of ? { ...each, ...said } : each));
    },
    answer(view, entry) {
      view.notes = view.notes.filter(note => note.key !== entry.of);
    },
    step(view, entry) {
      const line = view.lines.find(each => each.slot === entry.slot);
      if (!line) return;
      View.step[entry.step](view, line, entry);
      if (["shorten", "drop", "swap"].includes(entry.step)) view.stale = true;
    },
  },

  step: {
    begin(view, line, entry) {
      view.lines.forEach(each => {
        if (each === line || each.state !== "running") return;
        Object.assign(each, { state: "done", ended: true, finish: Math.max(each.start, entry.minute) });
      });
      Object.assign(line, { state: "running", begun: true, start: entry.minute, ended: false });
      const place = view.lines.indexOf(line);
      view.lines.slice(0, place).filter(each => each.state === "ahead").forEach(each => {
        const start = Math.min(each.start, entry.minute);
        const finish = Math.max(start, Math.min(each.finish, entry.minute));
        Object.assign(each, { state: "done", ended: true, start, finish });
      });
    },
    end(view, line, entry) {
      const start = line.begun ? line.start : Math.min(line.start, entry.minute);
      Object.assign(line, { state: "done", ended: true, start, finish: Math.max(start, entry.minute) });
    },
    shorten(view, line, entry) {
      line.minutes = entry.minutes;
    },
    drop(view, line) {
      Object.assign(line, { state: "dropped", finish: line.start });
    },
    swap(view, line, entry) {
      const other = view.lines.find(each => each.slot === entry.with);
      const [one, two] = [view.lines.indexOf(line), view.lines.indexOf(other)];
      if (two < 0) return;
      [view.lines[one], view.lines[two]] = [other, line];
      [line, other].forEach(each => {
        each.from = each.told;
      });
    },
  },

  // What was said and answered already, and is taken back.
  undo(view, entry, said) {
    if (said.some(each => each.client === entry.of)) return;
    if (entry.was === "here" && entry.before) view.here[entry.person] = entry.before;
    else if (entry.was === "here") delete view.here[entry.person];
    if (entry.was === "pass") view.passes[entry.slot] = Math.max((view.passes[entry.slot] || 0) - 1, 0);
    if (entry.was === "trouble") view.troubles = view.troubles.filter(each => each.client !== entry.of);
    if (entry.was === "run" && view.run && view.run.client === entry.of) view.run = null;
    if (entry.was === "run_step" || entry.was === "word") view.stale = true;
    if (entry.was === "newcomer") view.people = view.people.filter(each => each.key !== entry.of);
    if (entry.was === "note") view.notes = view.notes.filter(note => note.key !== entry.of);
    if (entry.was === "step" || entry.was === "tick") view.stale = true;
  },
};
