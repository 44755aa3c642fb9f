/**
 * The page of a kit: effects hang by sections from rails, with how far each has come. What is filed
 * where is the business of {@link org.nineveils.app.making.kits}; here it is shown and sent.
 */
package org.nineveils.app.order.rack;
