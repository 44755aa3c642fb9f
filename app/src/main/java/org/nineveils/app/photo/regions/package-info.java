/** Regions of the test wall's photos: painted, found by rule, read and written as grey pictures. */
package org.nineveils.app.photo.regions;
