/** Swatches: stored settings of single veils, under the maker's mark. */
package org.nineveils.app.making.swatches;
