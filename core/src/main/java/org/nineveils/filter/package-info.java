/**
 * Filters that look at the neighbourhood of a pixel: Gaussian blur, guided filter, lowest value.
 * Start with {@link org.nineveils.filter.Gaussian} and {@link org.nineveils.filter.Guided}. Knows
 * nothing of veils.
 *
 * <p>How: what is wide is worked out on a grid that is 2, 4, 8 … times coarser, so that the cost
 * does not grow with the radius. A cell of a grid is the mean of its pixels, wherever the part of
 * the picture begins that is looked at; sums are taken in a fixed order. A part of a picture
 * therefore gives the same bits as the whole. Beyond the border of the picture its outermost pixels
 * go on (“replicate”).
 */
package org.nineveils.filter;
