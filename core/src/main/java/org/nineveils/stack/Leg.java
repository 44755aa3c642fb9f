package org.nineveils.stack;

import java.util.List;
import org.nineveils.picture.Area;

/**
 * A stretch of the way through the stack that is run band by band in one go. Only its first item
 * may look at the neighbourhood.
 *
 * @param area what it has to make
 * @param items its items
 * @param index place of its first item in the stack
 * @param keeps its input is what lies below the bundle that its first item opens
 */
record Leg(Area area, List<PreparedItem> items, int index, boolean keeps) {}
