package org.nineveils.app.base.data;

import com.zaxxer.hikari.SQLExceptionOverride;
import java.sql.SQLException;
import java.util.Locale;
import java.util.Set;

/**
 * After which faults the pool throws a connection away. Where a begin failed, the driver goes on as
 * if it were within a transaction: writes would be kept one by one, and their commit would fail.
 */
public final class Evictions implements SQLExceptionOverride {
  /** SQLite's result codes (sqlite.org/rescode.html): BUSY, LOCKED, IOERR, CORRUPT, NOTADB. */
  private static final Set<Integer> BROKEN = Set.of(5, 6, 10, 11, 26);

  @java.lang.Override
  public SQLExceptionOverride.Override adjudicate(SQLException fault) {
    String says = String.valueOf(fault.getMessage()).toLowerCase(Locale.ROOT);
    boolean lost =
        says.contains("no transaction is active") || says.contains("within a transaction");
    return lost || BROKEN.contains(fault.getErrorCode() & 0xff)
        ? SQLExceptionOverride.Override.MUST_EVICT
        : SQLExceptionOverride.Override.CONTINUE_EVICT;
  }
}
