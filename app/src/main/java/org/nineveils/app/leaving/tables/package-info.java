/** A collection as colour tables. */
package org.nineveils.app.leaving.tables;
