/**
 * Overlay: what is laid over the picture without looking at it: colour, gradient, a shaft of light,
 * film grain. Start with {@link org.nineveils.veil.overlay.Overlay}.
 */
package org.nineveils.veil.overlay;
