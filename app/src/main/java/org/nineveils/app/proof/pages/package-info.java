/** The page of proofs, its pictures and the card of a cell. */
package org.nineveils.app.proof.pages;
