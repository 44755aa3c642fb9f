/**
 * What is looked at before a release leaves the house: faults that keep it in, and what a maker
 * should have seen once. Facts come from outside; nothing here renders or reads files.
 */
package org.nineveils.release.leaving;
