/** The bench: an effect's veils, the paint on it, previews and results. */
package org.nineveils.app.making.bench;
