// The page of a release at the desk: its guide and contact sheet are made here.
import { making } from "../web/making.js";

const root = document.querySelector("[data-guides]");
if (root) making(root, ({ format }) => `/api/desk/${root.dataset.release}/guide?format=${format}`);
