/**
 * What is looked at before anything else starts: folder, lock, database, room on the disk. A fault
 * here is one sentence and exit status 1.
 */
package org.nineveils.app.base.start;
