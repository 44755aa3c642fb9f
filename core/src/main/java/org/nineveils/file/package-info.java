/**
 * Pictures in files. They come in through {@link org.nineveils.file.PictureReader}, upright and in
 * sRGB whatever they claim, and go out through {@link org.nineveils.file.PictureWriter}, in one of
 * the formats of {@link org.nineveils.file.PictureFormat}; what a file holds besides its pixels is
 * the affair of {@code file.data}.
 *
 * <p>Limits on what is accepted stand in {@link org.nineveils.refusal.InputLimits}. Knows nothing
 * of veils.
 */
package org.nineveils.file;
