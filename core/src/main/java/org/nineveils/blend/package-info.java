/**
 * How the result of a veil is laid over what is below it. Start with {@link
 * org.nineveils.blend.BlendMode}; the formulas are those of the W3C's Compositing and Blending.
 *
 * <p>Knows colours; nothing of veils, pictures, masks or order.
 */
package org.nineveils.blend;
