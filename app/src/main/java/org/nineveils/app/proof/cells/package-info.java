/**
 * An effect on a photo of the wall, as both are at one moment: what everything else in proofs is
 * about.
 */
package org.nineveils.app.proof.cells;
