/** The test wall and the photographer's own photos: files taken in, pictures given out. */
package org.nineveils.app.photo.photos;
