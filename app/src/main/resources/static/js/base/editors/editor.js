// The editor that fits a setting that stands alone.
import { choice } from "./choice.js";
import { colours } from "./colours.js";
import { picture } from "./picture.js";
import { slider } from "./slider.js";

const EDITORS = { number: slider, choice, colours, picture };

/** Editors of these types stand in a column of sliders. */
export const standsAlone = (setting) => setting.type in EDITORS && !setting.row;

/**
 * @param setting descriptor
 * @param value at first
 * @param on { input(value): while it moves, change(value): when it rests, pick }
 * @returns { element, set(value) }
 */
export const editor = (setting, value, on) => EDITORS[setting.type](setting, value, on);
