package org.nineveils.app.base.undo;

import java.time.Clock;
import org.nineveils.app.testing.Database;

/** A journal on a test's database, with its triggers in place. */
public final class TestJournal {
  private TestJournal() {}

  public static Journal on(Database database) {
    new JournalTriggers(database.client(), null).afterPropertiesSet();
    return new Journal(database.client(), database.transaction(), Clock.systemUTC());
  }
}
