/**
 * The stall: the stand-in for a shop. Hands releases out under codes, and combinations from
 * fittings; it knows nothing of the desk that fetches them.
 */
package org.nineveils.app.shop.stall;
