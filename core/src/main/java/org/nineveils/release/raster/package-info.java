/**
 * OpenRaster files (the layout of freedesktop.org's OpenRaster specification 0.0.5, from memory): a
 * photo with what it wears as layers, for programs that paint.
 *
 * <p>{@link org.nineveils.release.raster.OpenRaster} writes them. A veil is a layer: what it makes
 * of the picture below it, its mask as transparency, its opacity and blend mode as the file's own.
 * A layer is a picture of this photo: changing one below does not work the others out again.
 */
package org.nineveils.release.raster;
