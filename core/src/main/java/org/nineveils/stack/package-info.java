/**
 * The renderer: a picture and a {@link org.nineveils.stack.Stack} in, a picture out.
 *
 * <p>Semantics, per veil, on sRGB-encoded floats: {@code out = mix(in, blend(in, adjust(in)),
 * opacity × mask)}; every veil's result lies in 0…1. A bundle (one effect) is mixed with the
 * picture below it by its own opacity once all its veils are done. Lifted veils, veils at opacity 0
 * and veils whose settings change nothing under blend mode normal are left out, bit for bit.
 *
 * <p>Algorithm: 1. the stack becomes a list of {@link org.nineveils.stack.Item}s; 2. the way
 * through it is cut into legs, each beginning at a veil that looks around, and the part of the
 * picture that each must make is worked out from the end ({@link org.nineveils.stack.Plan}); 3. a
 * veil that looks around does so once; coverage of masks is worked out for the part; 4. the part is
 * cut into bands of at most 2 048 pixels of one row, two threads take rows, and each band runs
 * through the whole leg while it is in the cache; 5. between rows the caller may cancel. Nothing is
 * allocated in the loops, and the result does not depend on the number of threads or the cut.
 *
 * <p>Start with {@link org.nineveils.stack.Renderer} for one picture, {@link
 * org.nineveils.stack.LiveView} for a picture that is changed again and again.
 */
package org.nineveils.stack;
