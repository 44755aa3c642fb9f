/**
 * What of an effect other programs can wear: all of it that is a function of colour alone, as open
 * tables. {@link org.nineveils.release.table.Travel} says what travels and what stays behind,
 * {@link org.nineveils.release.table.Lattices} works the tables out with the engine's own maths,
 * one file a format writes them, {@link org.nineveils.release.table.Fit} measures what was lost.
 *
 * <p>Tables are over sRGB-encoded values, 0 to 1, as a picture file holds them.
 */
package org.nineveils.release.table;
