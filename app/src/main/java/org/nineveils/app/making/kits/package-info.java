/** Kits, their sections and the effects filed in them. */
package org.nineveils.app.making.kits;
