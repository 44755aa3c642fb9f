package org.nineveils.app.house.workspace;

import org.springframework.stereotype.Component;

/** Keeps tidying and backups apart: one lets files go that the other is still to read. */
@Component
class Keeping {
  private int backups;
  private boolean tidying;

  /** Whether a backup may begin; then {@link #backupEnded} follows. */
  synchronized boolean backupBegins() {
    if (tidying) {
      return false;
    }
    backups++;
    return true;
  }

  synchronized void backupEnded() {
    backups--;
  }

  /** Whether tidying may begin; then {@link #tidyingEnded} follows. */
  synchronized boolean tidyingBegins() {
    if (tidying || backups > 0) {
      return false;
    }
    tidying = true;
    return true;
  }

  synchronized void tidyingEnded() {
    tidying = false;
  }
}
