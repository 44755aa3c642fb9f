import { test, mock } from "node:test";
import assert from "node:assert/strict";
import { GaveWay, Loader } from "../../../main/resources/static/js/photo/stage/loader.js";

const turn = () => new Promise((done) => setImmediate(done));
const fault = (status) => Object.assign(new Error("no"), { status });

/** A loader whose answers are given in order: a picture, or a fault. */
function opened(answers) {
  const shown = [];
  const faults = [];
  const load = async () => {
    await turn();
    const next = answers.shift();
    if (next instanceof Error) throw next;
    return next;
  };
  return {
    shown,
    faults,
    loader: new Loader(
      load,
      (p) => shown.push(p),
      ({ fault: f }) => f && faults.push(f),
    ),
  };
}

test("of all that is wanted while a picture is on its way only the newest is asked for", async () => {
  const answers = ["one", "two", "three"];
  const { loader, shown } = opened(answers);
  const all = loader.ask();
  loader.ask();
  loader.ask();
  await all;
  assert.deepEqual(shown, ["one", "two"]);
  assert.deepEqual(answers, ["three"]);
});

test("a picture whose place a newer one takes is given up and never shown", async () => {
  const signals = [];
  const shown = [];
  const load = (signal) =>
    new Promise((done, failed) => {
      signals.push(signal);
      if (signals.length > 1) return done("new");
      signal.addEventListener("abort", () => failed(fault(0)));
    });
  const faults = [];
  const loader = new Loader(
    load,
    (p) => shown.push(p),
    ({ fault: f }) => f && faults.push(f),
  );
  const all = loader.ask();
  loader.ask(true);
  await all;
  assert.deepEqual([shown, faults, signals[0].aborted, loader.behind], [["new"], [], true, false]);
});

test("a picture that cannot be had is older than what is wanted, is asked for again, and that is told once", async () => {
  mock.timers.enable({ apis: ["setTimeout"] });
  const { loader, shown, faults } = opened(["old", fault(0), fault(503), "new"]);
  await loader.ask();
  assert.equal(loader.behind, false);
  await loader.ask();
  assert.equal(loader.behind, true);
  for (const wait of [1000, 2000]) {
    mock.timers.tick(wait);
    while (loader.busy) await turn();
  }
  mock.timers.reset();
  assert.deepEqual(shown, ["old", "new"]);
  assert.equal(loader.behind, false);
  assert.equal(faults.length, 1);
});

test("what is refused for good is not asked for again, and stays told apart from the newest", async () => {
  const answers = ["old", fault(422), "never"];
  mock.timers.enable({ apis: ["setTimeout"] });
  const { loader } = opened(answers);
  await loader.ask();
  await loader.ask();
  mock.timers.tick(60_000);
  await turn();
  mock.timers.reset();
  assert.equal(loader.behind, true);
  assert.deepEqual(answers, ["never"]);
});

test("a picture that gave way to a request that came late is asked for again, but not for ever", async () => {
  const shown = [];
  let asked = 0;
  const late = new Loader(
    async () => {
      asked += 1;
      if (asked < 3) throw new GaveWay();
      return "there";
    },
    (picture) => shown.push(picture),
  );
  await late.ask();
  assert.deepEqual([shown, asked, late.busy, late.behind], [["there"], 3, false, false]);
  let tries = 0;
  const never = new Loader(
    async () => {
      tries += 1;
      throw new GaveWay();
    },
    () => assert.fail("nothing was to be shown"),
  );
  await never.ask();
  assert.deepEqual([tries, never.busy], [6, false]);
});
