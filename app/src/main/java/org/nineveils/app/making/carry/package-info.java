/** Carries kits between installations: kit files, written and opened. */
package org.nineveils.app.making.carry;
