/**
 * Effects worn on a photo: the fitting, batches, folders that are watched. Start in {@link
 * org.nineveils.app.wear.fitting.FittingService}. It knows nothing of how effects are made: what
 * can be worn comes to it as wardrobes, from kits and from releases alike.
 */
package org.nineveils.app.wear;
