/** What is on the disk: the data folder, content-addressed files, and the journal of edits. */
package org.nineveils.app.base.data;
