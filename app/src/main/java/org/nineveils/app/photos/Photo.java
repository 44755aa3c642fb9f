package org.nineveils.app.photos;

/**
 * A photo taken in.
 *
 * @param side “wall” for the maker's test wall, “desk” for the photographer's own
 * @param sha name of the file as it came
 * @param width pixels, upright
 * @param height pixels, upright
 */
public record Photo(long id, String side, String name, String sha, int width, int height) {}
