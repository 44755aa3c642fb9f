/**
 * Descriptions of settings and their values: the one description that sliders, validation, files,
 * schemas and documents follow from. Start with {@link org.nineveils.setting.Setting}. Knows
 * nothing of what is set.
 */
package org.nineveils.setting;
