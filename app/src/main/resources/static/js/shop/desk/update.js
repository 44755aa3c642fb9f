// What an update changes, first for the photos that wear it.
import { SinceList } from "../../leaving/collections/since.js";
import { sayFault } from "../../base/web/say.js";
import { forPhotos } from "./for-photos.js";

const root = document.querySelector("[data-update-page]");
const { old, now, photographed } = root.dataset;

new SinceList(root, { pictures: photographed === "true" })
  .look(
    `/desk/${old}/update/${now}`,
    () => "What it changes",
    ({ changes }) => [forPhotos(changes)],
  )
  .then(() => (root.dataset.ready = ""))
  .catch(sayFault);
