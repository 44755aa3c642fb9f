/**
 * How something works on pixels: each on its own ({@link org.nineveils.kernel.Kernel}) or with what
 * lies around it ({@link org.nineveils.kernel.AreaKernel}), over a band of rows, within bounds of
 * memory and bit-equal however a picture is parted. Start with {@link
 * org.nineveils.kernel.Adjustment}.
 *
 * <p>Knows pictures, planes and colours; nothing of veils, settings, masks or order.
 */
package org.nineveils.kernel;
