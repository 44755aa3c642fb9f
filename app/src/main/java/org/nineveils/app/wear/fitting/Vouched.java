package org.nineveils.app.wear.fitting;

/**
 * Who vouches for a wardrobe.
 *
 * @param id of the sort, for looks
 * @param word a few words, for a mark
 * @param said a sentence
 * @param doubtful whether it should be asked about before anything of it is worn
 */
public record Vouched(String id, String word, String said, boolean doubtful) {}
