/**
 * What things may be called ({@link org.nineveils.name.Names}) and how results are named after
 * their photos ({@link org.nineveils.name.NamePattern}). Knows nothing but refusals.
 */
package org.nineveils.name;
