/**
 * Looks of a photographer's own: what a photo wears, kept under a name beside the collections, to
 * be worn on any photo. Start in {@link org.nineveils.app.wear.looks.OwnLooks}.
 */
package org.nineveils.app.wear.looks;
