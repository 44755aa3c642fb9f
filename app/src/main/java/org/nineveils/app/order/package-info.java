/**
 * Effects in order: the page of a kit on which they hang, and the search over all of them. Start in
 * {@link org.nineveils.app.order.rack}. It knows nothing of the desk; what is filed where is the
 * business of making.
 */
package org.nineveils.app.order;
