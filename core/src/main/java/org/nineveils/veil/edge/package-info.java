/**
 * Edge: what happens towards the border of the picture. Start with {@link
 * org.nineveils.veil.edge.Edge}.
 */
package org.nineveils.veil.edge;
