package org.nineveils.app.testing;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import org.flywaydb.core.Flyway;
import org.nineveils.app.base.data.Evictions;
import org.nineveils.app.base.data.SafeTransactions;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;

/** A real database file with the application's tables, as the application configures it. */
public final class Database implements AutoCloseable {
  private final HikariDataSource source = new HikariDataSource();
  private final JdbcClient client;
  private final TransactionTemplate transaction;

  public Database(Path folder) {
    source.setJdbcUrl("jdbc:sqlite:" + folder.resolve("nine-veils.db"));
    source.setMaximumPoolSize(4);
    source.addDataSourceProperty("journal_mode", "WAL");
    source.addDataSourceProperty("foreign_keys", "true");
    source.addDataSourceProperty("transaction_mode", "IMMEDIATE");
    source.addDataSourceProperty("busy_timeout", "300");
    source.addDataSourceProperty("synchronous", "OFF"); // what outlives a crash is tested elsewhere
    source.setExceptionOverrideClassName(Evictions.class.getName());
    Flyway.configure().dataSource(source).load().migrate();
    client = JdbcClient.create(source);
    transaction = new TransactionTemplate(new SafeTransactions(source));
  }

  public JdbcClient client() {
    return client;
  }

  public TransactionTemplate transaction() {
    return transaction;
  }

  @Override
  public void close() {
    source.close();
  }
}
