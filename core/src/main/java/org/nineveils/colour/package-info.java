/**
 * Colour spaces and white points, one idea a file. Start with {@link org.nineveils.colour.Srgb}.
 *
 * <p>Conventions: encoded sRGB and linear light are fractions (0 black, 1 white); matrices are
 * row-major 3×3 and multiply column vectors; chromaticities are CIE 1931 xy unless a name says
 * otherwise. Knows nothing of pictures, veils or files.
 */
package org.nineveils.colour;
