package org.nineveils.app.testing;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import org.flywaydb.core.Flyway;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** A real database file with the application's tables, as the application configures it. */
public final class Database implements AutoCloseable {
  private final HikariDataSource source = new HikariDataSource();
  private final JdbcClient client;
  private final TransactionTemplate transaction;

  public Database(Path folder) {
    source.setJdbcUrl("jdbc:sqlite:" + folder.resolve("test.db"));
    source.setMaximumPoolSize(4);
    source.addDataSourceProperty("journal_mode", "WAL");
    source.addDataSourceProperty("foreign_keys", "true");
    source.addDataSourceProperty("transaction_mode", "IMMEDIATE");
    Flyway.configure().dataSource(source).load().migrate();
    client = JdbcClient.create(source);
    transaction = new TransactionTemplate(new DataSourceTransactionManager(source));
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
