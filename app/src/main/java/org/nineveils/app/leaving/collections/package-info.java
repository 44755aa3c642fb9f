/** What goes into a release and under which words, and the releases that were packed. */
package org.nineveils.app.leaving.collections;
