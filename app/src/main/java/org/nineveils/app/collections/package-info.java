/** Collections and their packing into releases. */
package org.nineveils.app.collections;
