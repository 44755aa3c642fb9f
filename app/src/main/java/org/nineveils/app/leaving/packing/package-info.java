/** Checks of a collection, and its packing as a job. */
package org.nineveils.app.leaving.packing;
