/**
 * Colour tables: what they are ({@link org.nineveils.table.ColourTable}) and the open formats that
 * hold them, read and written: a cube of text ({@link org.nineveils.table.CubeFile}, {@link
 * org.nineveils.table.CubeText}) and the Common LUT Format ({@link org.nineveils.table.ClfFile},
 * {@link org.nineveils.table.ClfText}).
 *
 * <p>Tables are over sRGB-encoded values, 0 to 1, as a picture file holds them. Knows nothing of
 * veils: an effect is put into tables by {@code release.table}, and worn as one by {@code
 * veil.colour}.
 */
package org.nineveils.table;
