// Words of the desk and of the stall.
import assert from "node:assert/strict";
import { test } from "node:test";
import { fetchedWords } from "../../../main/resources/static/js/leaving/collections/stall.js";
import { forPhotos } from "../../../main/resources/static/js/shop/desk/for-photos.js";

test("an update is told by what photos wear of it, not by what the maker changed", () => {
  const look = (n) => ({ sort: "look", photos: [1, 2, 3].slice(0, n) });
  assert.equal(forPhotos([]), "Nothing that is seen has changed.");
  assert.equal(
    forPhotos([look(0), { sort: "new", photos: [] }]),
    "1 new, 1 looks different. No photo of yours looks different for it.",
  );
  assert.equal(
    forPhotos([look(3), look(0)]),
    "2 look different. One of them is worn by your photos and looks different.",
  );
  assert.equal(
    forPhotos([look(1), look(1), { sort: "gone", photos: [1, 2] }]),
    "2 look different, 1 taken out. 2 of them are worn by your photos and look different.",
  );
});

test("what the simulated clientele fetched is never counted with the rest", () => {
  assert.equal(fetchedWords({ fetched: 2, simulated: 31 }), "fetched 2 here, 31 by the simulated clientele");
});
