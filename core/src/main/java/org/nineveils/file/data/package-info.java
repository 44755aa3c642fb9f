/**
 * What a photo's file holds besides its pixels: when, with what and by whom it was made. It is kept
 * in results, made true of them. Knows nothing of pictures.
 */
package org.nineveils.file.data;
