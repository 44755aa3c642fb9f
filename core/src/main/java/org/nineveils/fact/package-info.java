/**
 * What a plain photo shows by itself, in numbers: one file a fact, one line in {@link
 * org.nineveils.fact.Facts}. Facts are decided on the photo averaged to 480 pixels of the long
 * side, so that preview, full frame, desk and command line agree; a fact may be not there. Start
 * with {@link org.nineveils.fact.Ground}.
 *
 * <p>Under ±1 stop of exposure lightness follows the light, contrast moves by up to 25 L*, warmth
 * and tint by up to 3, skin hue by up to 8°. Noise of 8 codes at the photo's own size moves
 * lightness, warmth and tint by less than 1, contrast, skin lightness and skin chroma by less than
 * 2, skin hue by less than 3°. A test holds it on three photos. A strong cast leaves no
 * near-neutral tones: then warmth and tint are not there.
 */
package org.nineveils.fact;
