/**
 * The shop: the stall from which releases are fetched, and the desk of those who wear them. Start
 * in {@link org.nineveils.app.shop.desk}. It knows nothing of how a kit is kept in order, and of
 * the house.
 */
package org.nineveils.app.shop;
