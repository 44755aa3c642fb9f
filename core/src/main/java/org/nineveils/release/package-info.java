/**
 * The package that photographers receive: one ZIP file of open formats, described for others in
 * {@code docs/format.md}.
 *
 * <p>{@link org.nineveils.release.ReleaseWriter} makes it, the same bytes from the same state;
 * {@link org.nineveils.release.ReleaseReader} opens and checks it, whole or not at all; {@link
 * org.nineveils.release.FormatSchema} derives the JSON Schemas from the setting descriptors. Paint
 * is never in a release.
 */
package org.nineveils.release;
