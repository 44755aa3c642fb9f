// Rules of the application that scripts need, in one place. A test holds each to the one that Java keeps.

/** Most characters of a name of anything. */
export const NAME = 60;

/** Most characters of the label of a dial, or of a heading on a card. */
export const LABEL = 40;

/** Long side of the picture of a photo that is kept for lists, pixels. */
export const SMALL = 400;

/** Farthest that a stroke holds to, ΔE. */
export const HOLDING = 60;

/** Names of files of photos that are read. */
export const PHOTO_NAME = /\.(jpe?g|png|tiff?|webp|dng|cr2|cr3|nef|arw|raf|rw2|orf|pef|srw)$/i;
