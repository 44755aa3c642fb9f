/**
 * Where a veil covers. {@link org.nineveils.mask.Cover} is the rule, which belongs to the effect;
 * {@link org.nineveils.mask.Paint} is what was brushed, which belongs to a photo; {@link
 * org.nineveils.mask.Painter} turns both into coverage for a picture of any size.
 *
 * <p>All places and sizes are shares of the long side, so that paint fits every size of the photo.
 */
package org.nineveils.mask;
