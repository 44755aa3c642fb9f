import { test } from "node:test";
import assert from "node:assert/strict";
import { Loader } from "../../../main/resources/static/js/photo/stage/loader.js";
import { unpack } from "../../../main/resources/static/js/photo/stage/packet.js";
import { shown } from "../../../main/resources/static/js/base/editors/slider.js";
import { hiddenHint } from "../../../main/resources/static/js/photo/stage/hint.js";

const turn = () => new Promise((done) => setImmediate(done));

test("pictures are asked for one at a time, and of what was wanted meanwhile only the newest", async () => {
  const asked = [];
  const seen = [];
  let wanted = 0;
  let answer;
  const loader = new Loader(
    () => {
      asked.push(wanted);
      const mine = wanted;
      return new Promise((done) => (answer = () => done(mine)));
    },
    (picture) => seen.push(picture),
  );
  for (wanted = 1; wanted <= 5; wanted += 1) loader.ask();
  wanted = 5;
  answer();
  await turn();
  answer();
  await turn();
  assert.deepEqual(asked, [1, 5]);
  assert.deepEqual(seen, [1, 5]);
  assert.equal(loader.busy, false);
});

test("a picture that fails is told of and the next one is still asked for", async () => {
  const faults = [];
  const seen = [];
  let n = 0;
  const load = async () => {
    n += 1;
    if (n === 1) throw new Error("lost");
    return n;
  };
  const loader = new Loader(
    load,
    (p) => seen.push(p),
    ({ fault }) => fault && faults.push(fault.message),
  );
  await loader.ask();
  await loader.ask();
  assert.deepEqual(faults, ["lost"]);
  assert.deepEqual(seen, [2]);
});

test("a packet is a head and its pixels", () => {
  const head = new TextEncoder().encode(JSON.stringify({ width: 1, height: 2, note: "é" }));
  const bytes = new Uint8Array(4 + head.length + 8);
  new DataView(bytes.buffer).setUint32(0, head.length);
  bytes.set(head, 4);
  bytes.set([1, 2, 3, 255, 9, 8, 7, 255], 4 + head.length);
  const { head: read, pixels } = unpack(bytes.buffer);
  assert.equal(read.note, "é");
  assert.deepEqual([...pixels], [1, 2, 3, 255, 9, 8, 7, 255]);
});

test("numbers are shown as finely as their steps", () => {
  assert.equal(shown(1 / 3, 1 / 60), "0.33");
  assert.equal(shown(33.4, 1), "33");
  assert.equal(shown(12.5, 0.5), "12.5");
});

test("a brush-on veil says what to do, with its region where it has one", () => {
  assert.equal(hiddenHint({ name: "Rose", meantFor: "lips" }), "“Rose” is hidden: brush it on the lips");
  assert.equal(hiddenHint({ name: "Rose", meantFor: "" }), "“Rose” is hidden: brush it on");
});
