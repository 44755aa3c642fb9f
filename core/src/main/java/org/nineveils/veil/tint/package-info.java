/**
 * Tint: monochrome by eight hue weights, and colourise. Start with {@link
 * org.nineveils.veil.tint.Tint}.
 */
package org.nineveils.veil.tint;
