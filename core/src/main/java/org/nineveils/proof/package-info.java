/**
 * Measures of a rendered picture. Start with {@link org.nineveils.proof.Histogram}. Takes pictures,
 * gives numbers; knows nothing of veils.
 */
package org.nineveils.proof;
