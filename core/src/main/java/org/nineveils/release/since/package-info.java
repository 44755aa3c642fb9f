/**
 * What a release changes for those who have the one before: found by comparing the two packages,
 * never by remembering what was edited.
 *
 * <p>{@link org.nineveils.release.since.Since} compares; {@link
 * org.nineveils.release.since.NextVersion} says which version that is at least.
 */
package org.nineveils.release.since;
