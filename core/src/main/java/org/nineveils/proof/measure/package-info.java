/**
 * What is measured on a proof. Start with {@link org.nineveils.proof.measure.Measure} and the list
 * in {@link org.nineveils.proof.measure.Measures}. A measure takes a plain picture and what became
 * of it, and gives one number; it knows nothing of veils and of limits that a maker sets.
 *
 * <p>All are taken at one size, {@link org.nineveils.proof.measure.Pair#LONG_SIDE} pixels of the
 * long side; what looks at the neighbourhood has its distances in shares of it. Lightness and hues
 * are those of CIE Lab under D50, chroma that of Oklab, lumas those of ITU-R BT.709 on encoded
 * values.
 */
package org.nineveils.proof.measure;
