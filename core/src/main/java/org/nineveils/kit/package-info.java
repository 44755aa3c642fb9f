/**
 * Rules of kits and fittings, without pictures: what may be worn together, in which order, under
 * which names. Start with {@link org.nineveils.kit.Fitting}.
 */
package org.nineveils.kit;
