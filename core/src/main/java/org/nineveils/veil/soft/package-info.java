/**
 * Soft: noise reduction, skin smoothing, blur, glow and haze. Start with {@link
 * org.nineveils.veil.soft.Soft}.
 */
package org.nineveils.veil.soft;
