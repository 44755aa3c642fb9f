/**
 * Pictures in memory and in files. Start with {@link org.nineveils.picture.Picture}; files come in
 * through {@link org.nineveils.picture.PictureReader} and go out through {@link
 * org.nineveils.picture.PictureWriter}.
 *
 * <p>Invariants: a picture in memory is always upright (EXIF orientation applied), always sRGB and
 * always float; one class turns floats into 8 or 16 bits ({@link org.nineveils.picture.Quantise}).
 * Knows nothing of veils. Limits on what is accepted stand in {@link org.nineveils.picture.Limits}.
 */
package org.nineveils.picture;
