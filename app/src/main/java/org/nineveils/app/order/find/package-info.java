/** One search over all kits, swatches and collections, and searches that are kept. */
package org.nineveils.app.order.find;
