/** What is new, moved and gone since the last version that was packed. */
package org.nineveils.app.leaving.since;
