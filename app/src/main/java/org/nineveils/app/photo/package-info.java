/**
 * Photos: taken in, decoded, looked at with their regions and facts, and rendered. Start in {@link
 * org.nineveils.app.photo.photos.PhotoService} and {@link org.nineveils.app.photo.render}. It knows
 * nothing of kits and of what is worn: it renders whatever stack it is given.
 */
package org.nineveils.app.photo;
