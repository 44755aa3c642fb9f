// What the rack asks for in small forms: names, tags, where to.
import { ask, grouped, options } from "../../base/web/form.js";
import { send } from "../../base/web/http.js";
import { leaveTo, reload } from "../../base/web/leaving.js";
import { sayAfterReload } from "../../base/web/say.js";
import { editRules } from "./rules.js";

/** @param how { act(path, body): promise, rack(): state, data: what the page came with, kit: id } */
export function dialogs({ act, rack, data, kit }) {
  const rules = () => options(data.rules.map((r) => [r.id, r.label]));
  const places = () =>
    grouped([
      { label: rack().kit.name, options: rack().sections.map((s) => [s.id, `${s.number} ${s.name}`]) },
      ...data.others.map((k) => ({ label: k.name, options: k.sections.map((s) => [s.id, s.name]) })),
    ]);
  const markField = (value) => ({
    name: "mark",
    label: "Mark",
    kind: "choice",
    optional: true,
    value,
    choices: options([["", "no mark"], ...data.marks.map((m) => [m.id, `${m.sign} ${m.word}`])]),
  });
  const newKit = (title, words, label, run) =>
    ask({ title, words, label, fields: [{ name: "name", label: "Name of the new kit" }] }, async ({ name }) =>
      leaveTo((await run(name)).go),
    );

  return {
    section: () =>
      ask(
        {
          title: "Add a section",
          label: "Add the section",
          fields: [
            { name: "name", label: "Name" },
            { name: "rule", label: "Effects of this section are worn", kind: "choice", choices: rules() },
          ],
        },
        (v) => act("sections", v),
      ),
    changeSection: (section) => editRules(section, { rack: rack(), rules: data.rules, marks: data.marks, act }),
    plan: (section) =>
      ask(
        {
          title: `Plan effects in ${section.name}`,
          words: "One name a line. They hang as outlines until they are built.",
          label: "Plan them",
          fields: [{ name: "names", label: "Names", kind: "lines" }],
        },
        (v) => act("plan", { section: section.id, ...v }),
      ),
    fresh: (section) =>
      ask(
        {
          title: `New effect in ${section.name}`,
          label: "Build it at the bench",
          fields: [{ name: "name", label: "Name" }],
        },
        async (v) => leaveTo((await send("POST", `/api/sections/${section.id}/effects`, v)).go),
      ),
    note: (effect) =>
      ask(
        {
          title: `Note of ${effect.name}`,
          words: "What the photographer reads when the effect goes on: what to brush, with which brush, what to lower.",
          label: "Keep it",
          fields: [{ name: "note", label: "Note", kind: "lines", rows: 4 }],
        },
        (v) => act("note", { effect: effect.id, ...v }),
      ),
    meantFor: (effect) =>
      ask(
        {
          title: `What ${effect.name} is brushed onto`,
          label: "Keep it",
          fields: [
            { name: "region", label: "Meant for", kind: "choice", choices: options(data.regions.map((r) => [r, r])) },
          ],
        },
        (v) => act("meant-for", { effect: effect.id, ...v }),
      ),
    mark: (ids) =>
      ask(
        { title: "Mark", words: "For your eyes: marks do not travel.", label: "Mark", fields: [markField("")] },
        (v) => act("mark", { effects: ids, ...v }),
      ),
    tag: (ids) => {
      const known = rack().tags;
      return ask(
        {
          title: "Tag",
          words: known.length > 0 ? `In use: ${known.map((t) => `#${t}`).join(", ")}` : "",
          label: "Tag",
          fields: [{ name: "tag", label: "Tag, a word or a few", max: 30 }],
        },
        (v) => act("tag", { effects: ids, ...v, on: true }),
      );
    },
    move: (ids, words) =>
      ask(
        {
          title: `Move ${words}`,
          label: "Move",
          fields: [{ name: "section", label: "To", kind: "choice", choices: places() }],
        },
        (v) => act("move", { effects: ids, section: Number(v.section) }),
      ),
    copy: (ids, words) =>
      ask(
        {
          title: `Copy ${words}`,
          label: "Copy",
          fields: [{ name: "section", label: "To", kind: "choice", choices: places() }],
        },
        (v) => act("copy", { effects: ids, section: Number(v.section) }),
      ),
    duplicate: () =>
      newKit("Duplicate this kit", "Sections, effects, limits, tags and paint are copied.", "Duplicate it", (name) =>
        send("POST", `/api/kits/${kit}/duplicate`, { name }),
      ),
    split: (ids, words) =>
      newKit(
        `New kit of ${words}`,
        "They leave this kit and hang in the new one, in sections of the same names.",
        "Split them off",
        (name) => send("POST", `/api/kits/${kit}/split`, { effects: ids, name }),
      ),
    lite: (ids, words) =>
      newKit(
        `Lite kit of ${words}`,
        "The new kit follows this one: what you change here changes there.",
        "Make the lite kit",
        (name) => send("POST", `/api/kits/${kit}/lite`, { effects: ids, name }),
      ),
    merge: () =>
      ask(
        {
          title: "Merge another kit into this one",
          words:
            "Its effects hang here, in sections of the same names; the other kit is gone then. Undo brings it back.",
          label: "Merge",
          fields: [
            {
              name: "other",
              label: "Kit",
              kind: "choice",
              choices: options(data.others.map((k) => [k.id, `${k.name}, ${k.effects} effects`])),
            },
          ],
        },
        async (v) => {
          sayAfterReload((await send("POST", `/api/kits/${kit}/merge`, v)).said);
          reload();
        },
      ),
  };
}
