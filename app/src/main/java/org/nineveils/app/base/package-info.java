/**
 * What every wing stands on: sentences of refusal, the budget of memory, the journal of edits, how
 * pages and answers leave, the database, the start, paint, and long work. Start in {@link
 * org.nineveils.app.base.undo}, through which every edit runs, and {@link
 * org.nineveils.app.base.jobs}, for whatever takes more than a second. It knows nothing of photos,
 * kits or any page: a feature brings what belongs to it.
 */
package org.nineveils.app.base;
