/**
 * Named areas of a photo. Start with {@link org.nineveils.region.Regions}. Knows nothing of kits
 * and of what is measured.
 */
package org.nineveils.region;
