/**
 * How much is kept in memory, in one place: {@link org.nineveils.app.base.memory.Budget} weighs
 * what all caches hold in bytes and lets the longest unused go, whichever cache it is in.
 */
package org.nineveils.app.base.memory;
