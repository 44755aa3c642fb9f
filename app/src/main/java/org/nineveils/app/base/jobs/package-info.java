/**
 * Long work in one room: queue, progress, stop, results, what a restart leaves. Features bring
 * their own {@link org.nineveils.app.base.jobs.JobKind}; {@link org.nineveils.app.base.jobs.Jobs}
 * runs it. Knows nothing of what the work is about.
 */
package org.nineveils.app.base.jobs;
