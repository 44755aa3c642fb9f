/**
 * Crisp: haze removal, local contrast at three scales and sharpening. Start with {@link
 * org.nineveils.veil.crisp.Crisp}.
 */
package org.nineveils.veil.crisp;
