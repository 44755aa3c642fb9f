/** Fittings: a photo wearing effects of a kit or of an opened release. */
package org.nineveils.app.wear.fitting;
