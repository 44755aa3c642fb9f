package org.nineveils.app.base.data;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.transaction.support.DefaultTransactionStatus;

/**
 * Transactions after which no connection is left in a state that nobody knows.
 *
 * <p>SQLite keeps a transaction open when its commit fails (a foreign key that is checked at the
 * end, a full disk), and the driver believes in a transaction that never began where the database
 * was locked. So: constraints are checked before the commit; a commit that fails is rolled back;
 * and a connection whose begin, commit or rollback failed is thrown away, which also ends whatever
 * it held.
 */
public class SafeTransactions extends JdbcTransactionManager {
  private static final long serialVersionUID = 1L;
  private static final Logger LOG = LoggerFactory.getLogger(SafeTransactions.class);

  /** Transactions on connections of that pool, which must be a Hikari pool to throw them away. */
  public SafeTransactions(DataSource pool) {
    super(pool);
    setRollbackOnCommitFailure(true);
  }

  @Override
  protected void doCommit(DefaultTransactionStatus status) {
    checkConstraints();
    super.doCommit(status);
  }

  private void checkConstraints() {
    Connection connection = DataSourceUtils.getConnection(obtainDataSource());
    try (Statement ask = connection.createStatement();
        var deferred = ask.executeQuery("pragma defer_foreign_keys")) {
      if (!deferred.next() || deferred.getInt(1) == 0) {
        return; // every statement was checked as it ran
      }
      try (Statement check = connection.createStatement();
          var broken = check.executeQuery("pragma foreign_key_check")) {
        if (broken.next()) {
          throw new TransactionSystemException(
              "a row of %s would refer to nothing in %s"
                  .formatted(broken.getString("table"), broken.getString("parent")));
        }
      }
    } catch (SQLException e) {
      throw translateException("check before the commit", e);
    } finally {
      DataSourceUtils.releaseConnection(connection, obtainDataSource());
    }
  }

  @Override
  protected void doRollback(DefaultTransactionStatus status) {
    try {
      super.doRollback(status);
    } catch (RuntimeException e) {
      // SQLite may have rolled back by itself, as on a full disk; what was wrong before is told.
      LOG.warn("a rollback failed; its connection is thrown away: {}", e.getMessage());
      throwAway();
    }
  }

  private void throwAway() {
    if (obtainDataSource() instanceof HikariDataSource pool) {
      Connection connection = DataSourceUtils.getConnection(pool);
      try {
        pool.evictConnection(connection);
      } finally {
        DataSourceUtils.releaseConnection(connection, pool);
      }
    }
  }
}
