/**
 * Colour: hue, saturation and lightness of all colours or of eight hues, and vibrance, in Oklab.
 * Start with {@link org.nineveils.veil.colour.Colour}.
 */
package org.nineveils.veil.colour;
