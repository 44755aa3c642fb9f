package org.nineveils.app.undo;

import java.util.List;

/**
 * A constraint of uniqueness.
 *
 * @param columns that no two rows may share
 */
record Unique(List<String> columns) {
  /** Whether another name would do. */
  boolean isName() {
    return columns.contains("name") || columns.contains("name_key");
  }
}
