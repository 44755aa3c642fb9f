/**
 * Folders of this machine that photos are taken from and results go into, and those that are
 * watched. All of them lie below one folder, which the setting {@code nineveils.folders} names.
 */
package org.nineveils.app.wear.folders;
