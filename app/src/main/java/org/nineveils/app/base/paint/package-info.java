/** Strokes as rows: what was brushed, at the bench and in fittings. */
package org.nineveils.app.base.paint;
