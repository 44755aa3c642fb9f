/**
 * The house as a whole: keeping it safe, tidying it, the demo. Start in {@link
 * org.nineveils.app.house.workspace}. It may look into every wing; what it must not do is to be
 * known: every other wing knows nothing of it.
 */
package org.nineveils.app.house;
