package org.nineveils.stack;

/** The end of a bundle, which has no maths. */
record PreparedEnd(EndItem item) implements PreparedItem {}
