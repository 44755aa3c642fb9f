/**
 * Effects, paint and fittings as JSON, the same in the database, over the wire and in releases.
 * Start with {@link org.nineveils.document.EffectJson}. Every reader refuses what it does not know,
 * with a sentence that names the place.
 */
package org.nineveils.document;
