/**
 * Taking edits back and doing them again. Begin with {@link org.nineveils.app.base.undo.Journal}:
 * every edit runs through it. {@link org.nineveils.app.base.undo.JournalTables} lists what is
 * recorded, {@link org.nineveils.app.base.undo.Replay} puts rows back and finds what stands in the
 * way. Knows tables by name only, nothing of what the features mean by them.
 */
package org.nineveils.app.base.undo;
