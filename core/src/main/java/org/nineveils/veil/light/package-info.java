/**
 * Light: exposure and white balance in linear light, contrast about mid-grey on encoded values.
 * Start with {@link org.nineveils.veil.light.Light}.
 */
package org.nineveils.veil.light;
