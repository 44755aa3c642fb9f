package org.nineveils.veil;

/**
 * Size of the whole picture, which shares of the long side refer to.
 *
 * @param width pixels
 * @param height pixels
 */
public record Frame(int width, int height) {}
