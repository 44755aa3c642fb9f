/**
 * The renderer: a picture and a {@link org.nineveils.stack.Stack} in, a picture out.
 *
 * <p>Semantics, per veil, on sRGB-encoded floats: {@code out = mix(in, blend(in, adjust(in)),
 * opacity × mask)}; every veil's result lies in 0…1. A bundle (one effect) is mixed with the
 * picture below it by its own opacity once all its veils are done. Lifted veils, veils at opacity 0
 * and veils whose settings change nothing under blend mode normal are left out, bit for bit.
 *
 * <p>Algorithm: 1. kernels and tables are prepared once; 2. coverage of painted veils is worked out
 * for the area; 3. the area is cut into bands of at most 2 048 pixels of one row; 4. two threads
 * take rows, each band runs through the whole stack while it is in the cache; 5. between rows the
 * caller may cancel. No state is kept, nothing is allocated in the loops, and the result does not
 * depend on the number of threads or the cut.
 */
package org.nineveils.stack;
