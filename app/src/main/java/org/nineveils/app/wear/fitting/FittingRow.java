package org.nineveils.app.wear.fitting;

/**
 * A fitting as stored.
 *
 * @param wardrobe what it can put on, “prefix:id”
 * @param doc JSON of a {@link org.nineveils.kit.Fitting}
 */
public record FittingRow(long id, String wardrobe, long photoId, String doc, int rev) {}
