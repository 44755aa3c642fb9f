/** The list of all kinds of veil: adding a kind is one folder and one line here. */
package org.nineveils.catalogue;
