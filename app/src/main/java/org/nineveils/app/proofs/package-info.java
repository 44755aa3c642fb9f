/** Proof sheets: every effect of a kit on every test photo. */
package org.nineveils.app.proofs;
