import { test } from "node:test";
import assert from "node:assert/strict";
import { Store } from "../../../main/resources/static/js/base/web/store.js";

const turn = () => new Promise((done) => setImmediate(done));

/** An application that keeps one document { a, b … } and refuses saves on states it knows nothing of. */
class Application {
  rev = 1;
  doc;
  asked = "";
  done = [];
  sent = [];
  refuse = [];

  constructor(doc) {
    this.doc = doc;
  }

  state = () => ({ rev: this.rev, doc: this.doc });

  put = (body, name) =>
    this.change(name, () => {
      if (body.rev !== this.rev && !body.after.includes(this.asked)) {
        throw Object.assign(new Error("changed in another window"), { status: 409, stale: true });
      }
      this.sent.push(body);
      const changed = Object.entries(body.doc).filter(([key, value]) => !body.built || body.built[key] !== value);
      return body.rev === this.rev ? body.doc : { ...this.doc, ...Object.fromEntries(changed) };
    });

  /** A rule changes what is there; a request of one name is done once. */
  change = async (name, rule) => {
    await turn();
    if (this.done.includes(name)) throw Object.assign(new Error("done before"), { status: 409, done: true });
    const fault = this.refuse.shift();
    if (fault && !fault.after) throw Object.assign(new Error(fault.message ?? "no"), fault);
    this.write(rule(this.doc), name);
    if (fault) throw Object.assign(new Error(fault.message ?? "no"), fault);
    return this.state();
  };

  /** What a request does, or another window. */
  write(doc, name = "another") {
    this.doc = doc;
    this.asked = name;
    this.done.push(name);
    this.rev += 1;
  }
}

function opened(app, more = {}) {
  const told = [];
  const store = new Store(
    app.state(),
    "doc",
    { put: app.put, get: async () => app.state(), ...more },
    {
      took: (state, differs) => told.push({ took: state.rev, differs }),
      saving: () => {},
      saved: () => told.push("saved"),
      fault: (error, again, waits) => told.push({ fault: error.message, again, waits }),
    },
  );
  return { store, told };
}

const set = (fields) => (doc) => ({ ...doc, ...fields });

test("changes are stored in order, each on the state that the one before gave", async () => {
  const app = new Application({});
  const { store } = opened(app);
  store.change(set({ a: 1 }), "one");
  store.change(set({ b: 2 }), "two");
  await store.change(set({ a: 3 }), "three");
  assert.deepEqual(
    app.sent.map((s) => [s.rev, s.doc]),
    [
      [1, { a: 1 }],
      [2, { a: 1, b: 2 }],
      [3, { a: 3, b: 2 }],
    ],
  );
  assert.equal(store.idle, true);
});

test("a change that is let go while something else is being stored is put on what that gives", async () => {
  const app = new Application({ strokes: 0, slider: 0 });
  const { store } = opened(app);
  const stroke = store.ask(async () => {
    await turn();
    app.write({ ...app.doc, strokes: 1 });
    return app.state();
  });
  store.change(set({ slider: 7 }), "slider");
  await stroke;
  await store.settled();
  assert.deepEqual(app.doc, { strokes: 1, slider: 7 });
});

test("a revision is never taken without its state: another window's work is not overwritten", async () => {
  const app = new Application({ mine: 0, theirs: 0 });
  const { store, told } = opened(app);
  app.write({ mine: 0, theirs: 5 });
  await store.ask(async () => app.state()); // paint, a pin: any answer that carries a revision
  assert.deepEqual(store.doc, { mine: 0, theirs: 5 });
  assert.equal(told[0].differs, true);
  await store.change(set({ mine: 1 }), "mine");
  assert.deepEqual(app.doc, { mine: 1, theirs: 5 });
});

test("a stale change is refused, the newer state is shown, and mine can be done on it", async () => {
  const app = new Application({ mine: 0, theirs: 0 });
  const { store, told } = opened(app);
  app.write({ mine: 0, theirs: 5 });
  assert.equal(await store.change(set({ mine: 1 }), "mine"), null);
  assert.deepEqual(store.doc, { mine: 0, theirs: 5 });
  const { fault, again } = told.find((t) => t.fault);
  assert.equal(fault, "changed in another window");
  await again();
  assert.deepEqual(app.doc, { mine: 1, theirs: 5 });
});

test("what the application cannot be given waits, is shown, and is stored when it answers again", async () => {
  const app = new Application({ a: 0 });
  app.refuse = [{ status: 0 }];
  const { store, told } = opened(app);
  const done = store.change(set({ a: 1 }), "a");
  await turn();
  await turn();
  assert.equal(store.stuck, true);
  assert.equal(told.at(-1).waits, true);
  assert.deepEqual(store.doc, { a: 1 });
  store.change(set({ b: 2 }), "b");
  store.retry();
  await done;
  await store.settled();
  assert.deepEqual(app.doc, { a: 1, b: 2 });
});

test("what is refused for good is not shown as if it were stored, and later changes go on", async () => {
  const app = new Application({ a: 0, b: 0 });
  app.refuse = [{ status: 422, message: "no" }];
  const { store, told } = opened(app);
  store.change(set({ a: 300 }), "bad");
  await store.change(set({ b: 1 }), "good");
  assert.deepEqual(app.doc, { a: 0, b: 1 });
  assert.deepEqual(store.doc, { a: 0, b: 1 });
  assert.equal(told.find((t) => t.fault).fault, "no");
});

test("what the hand moves is shown at once and stored when it is let go", async () => {
  const app = new Application({ a: 0 });
  const { store } = opened(app);
  store.hold(set({ a: 1 }));
  store.hold(set({ a: 2 }));
  assert.deepEqual(store.doc, { a: 2 });
  assert.equal(store.idle, true);
  await store.change(set({ a: 3 }), "a");
  assert.deepEqual(
    app.sent.map((s) => s.doc),
    [{ a: 3 }],
  );
});

test("an answer that comes while the hand moves does not take the slider out of it", async () => {
  const app = new Application({ a: 0, b: 0 });
  const { store } = opened(app);
  const saved = store.change(set({ b: 1 }), "b");
  store.hold(set({ a: 9 }));
  await saved;
  assert.deepEqual(store.doc, { a: 9, b: 1 });
});

test("repeats of a held key become one save, other gestures saves of their own", async () => {
  const app = new Application({ a: 0 });
  let hand = "1";
  const { store } = opened(app, { gesture: () => hand });
  store.change(set({ a: 1 }), "step");
  for (let a = 2; a <= 6; a += 1) store.change(set({ a }), "step");
  hand = "2";
  await store.change(set({ a: 7 }), "step");
  assert.deepEqual(
    app.sent.map((s) => [s.doc.a, s.gesture]),
    [
      [1, "1"],
      [6, "1"],
      [7, "2"],
    ],
  );
});

test("a page that is left sends what waits and what the hand held, built on what is on its way", async () => {
  const app = new Application({ a: 0 });
  const { store } = opened(app);
  store.change(set({ a: 1 }), "one");
  store.change(set({ b: 2 }), "two");
  store.hold(set({ c: 3 }));
  store.flush();
  for (let i = 0; i < 6; i += 1) await turn();
  assert.deepEqual(app.doc, { a: 1, b: 2, c: 3 });
});

test("what is asked of a rule and still on its way takes nothing from what is changed after it", async () => {
  const app = new Application({ worn: 0, slider: 0 });
  const { store } = opened(app);
  store.ask((name) => app.change(name, (doc) => ({ ...doc, worn: doc.worn + 1 })));
  store.ask((name) => app.change(name, (doc) => ({ ...doc, pinned: true })));
  store.change(set({ slider: 7 }), "slider");
  store.flush();
  for (let i = 0; i < 9; i += 1) await turn();
  assert.deepEqual(app.doc, { worn: 1, pinned: true, slider: 7 });
});

test("what was done and not answered is not done twice", async () => {
  const app = new Application({ strokes: 0, slider: 0 });
  app.refuse = [{ status: 0, after: true }];
  const { store } = opened(app);
  const stroke = store.ask((name) => app.change(name, (doc) => ({ ...doc, strokes: doc.strokes + 1 })));
  store.change(set({ slider: 3 }), "slider");
  while (!store.stuck) await turn();
  store.retry();
  assert.deepEqual((await stroke).doc, { strokes: 1, slider: 0 });
  await store.settled();
  assert.deepEqual(app.doc, { strokes: 1, slider: 3 });
});

test("a change of something that is gone changes nothing", () => {
  const { store } = opened(new Application({ a: 0 }));
  store.hold((doc) => ({ ...doc, a: doc.gone.value }));
  assert.deepEqual(store.doc, { a: 0 });
});

test("what waits is stored where it was asked for, whatever is edited since", async () => {
  const app = new Application({ a: 1 });
  app.refuse = [{ status: 507 }];
  let place = "/one";
  const seen = [];
  const { store } = opened(app, {
    at: () => place,
    put: (body, name, at) => {
      seen.push(at);
      return app.put(body, name);
    },
  });
  store.change((doc) => ({ ...doc, a: 2 }), "a");
  await turn();
  await turn();
  assert.throws(() => store.mustBeStored(), /not stored yet/);
  assert.throws(() => store.turnTo({ rev: 9, doc: { a: 0 } }), /not stored yet/);
  place = "/two";
  store.retry();
  await store.settled();
  assert.deepEqual(seen, ["/one", "/one"]);
  assert.equal(app.doc.a, 2);
  store.change((doc) => ({ ...doc, a: 3 }), "a");
  await store.settled();
  assert.equal(seen.at(-1), "/two");
});
