/**
 * Leaving the house: collections of kits, what has changed since the last version, packing into
 * release files, colour tables, guides. Start in {@code collections} for what goes in and {@code
 * packing} for how it goes. It knows nothing of those who fetch it: stall and desk are in the shop.
 */
package org.nineveils.app.leaving;
