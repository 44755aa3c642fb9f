/**
 * The contract of a veil: what it holds ({@link org.nineveils.veil.Veil}, {@link
 * org.nineveils.veil.Effect}) and what a kind tells of itself ({@link
 * org.nineveils.veil.VeilKind}): its settings and what works on pixels ({@link
 * org.nineveils.kernel.Adjustment}).
 *
 * <p>Each kind lives in a folder of its own below this one and knows no other. Opacity, mask and
 * blend mode are the renderer's affair, never a kind's.
 */
package org.nineveils.veil;
