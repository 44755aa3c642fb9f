// The page of a release at the desk: its guide and contact sheet are made here, favourites marked.
import { listenFavours } from "../../base/web/favour.js";
import { making } from "../../base/web/making.js";

const root = document.querySelector("[data-guides]");
listenFavours();
if (root) making(root, ({ format }) => `/api/desk/${root.dataset.release}/guide?format=${format}`);
