/**
 * Ink: shifts of printing inks within nine families of colours. Start with {@link
 * org.nineveils.veil.ink.Ink}.
 */
package org.nineveils.veil.ink;
