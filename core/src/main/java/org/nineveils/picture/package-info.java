/**
 * Pictures in memory, whole, in parts and in strips. Start with {@link
 * org.nineveils.picture.Picture}; files are the affair of {@code file}.
 *
 * <p>Invariants: a picture in memory is always upright (EXIF orientation applied), always sRGB and
 * always float; one class turns floats into 8 or 16 bits ({@link org.nineveils.picture.Quantise}).
 * Knows nothing of files and of veils.
 */
package org.nineveils.picture;
