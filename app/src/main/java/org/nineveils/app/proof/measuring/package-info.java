/** Renders cells and measures them; what was measured is kept by what it depends on. */
package org.nineveils.app.proof.measuring;
