/**
 * Curve: tone curves and levels on encoded values, per channel. Start with {@link
 * org.nineveils.veil.curve.Curve}.
 */
package org.nineveils.veil.curve;
