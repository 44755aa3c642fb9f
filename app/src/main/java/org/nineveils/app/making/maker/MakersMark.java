package org.nineveils.app.making.maker;

import org.nineveils.app.base.undo.Journal;
import org.nineveils.name.Names;
import org.springframework.stereotype.Service;

/** The name that goes before swatches and onto releases. */
@Service
public class MakersMark {
  private static final String NAME = "makers-mark";

  private final PreferenceStore store;
  private final Journal journal;

  MakersMark(PreferenceStore store, Journal journal) {
    this.store = store;
    this.journal = journal;
  }

  /** Empty where none was set. */
  public String get() {
    return store.get(NAME);
  }

  /** Sets the mark that releases carry from now on. */
  public void set(String mark) {
    String clean = Names.check("The maker's mark", mark);
    journal.quietly(
        () -> {
          store.put(NAME, clean);
          return null;
        });
  }
}
