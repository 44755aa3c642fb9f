/**
 * The web application in nine wings, each above those that it knows: base, photo, wear, making,
 * proof, leaving, order, shop, house. In a wing, a room is a feature: controller, service where
 * there is a rule, store. A feature never reaches into another one's store; it asks its service.
 * All computation is core's. The plan is docs/architecture.md; a test holds its order.
 */
package org.nineveils.app;
