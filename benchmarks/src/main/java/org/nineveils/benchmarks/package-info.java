/**
 * Times of the engine beside the same work through a reference library, in one run. Start with
 * {@link org.nineveils.benchmarks.Bench}. Quote ratios: machines differ and are noisy.
 */
package org.nineveils.benchmarks;
