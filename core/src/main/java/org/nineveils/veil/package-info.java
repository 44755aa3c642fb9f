/**
 * The contract of a veil: what it holds ({@link org.nineveils.veil.Veil}, {@link
 * org.nineveils.veil.Effect}), how a kind describes its settings ({@link
 * org.nineveils.setting.Setting}), how it works on pixels ({@link org.nineveils.veil.Kernel}) and
 * how its result is laid over what is below ({@link org.nineveils.veil.BlendMode}).
 *
 * <p>Each kind lives in a folder of its own below this one and knows only this package, {@code
 * colour} and {@code mask}. Opacity, mask and blend mode are the renderer's affair, never a kind's.
 */
package org.nineveils.veil;
