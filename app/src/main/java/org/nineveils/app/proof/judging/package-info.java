/** What proofs of a kit are held to: limits, and what may be over them. */
package org.nineveils.app.proof.judging;
