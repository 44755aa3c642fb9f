package org.nineveils.app.base.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Database;

/** Whatever goes wrong in one transaction, the next one works. */
class SafeTransactionsTest {
  @TempDir Path folder;
  private Database database;

  @BeforeEach
  void open() {
    database = new Database(folder);
  }

  @AfterEach
  void close() {
    database.close();
  }

  private void inTransaction(String... statements) {
    database
        .transaction()
        .executeWithoutResult(
            status -> {
              for (String sql : statements) {
                database.client().sql(sql).update();
              }
            });
  }

  private void writesWorkOnEveryConnection() {
    for (int i = 0; i < 8; i++) {
      inTransaction(
          "insert into preference (name, value) values ('p', '%d') on conflict do update set value = excluded.value"
              .formatted(i));
    }
    String value = "select value from preference where name = 'p'";
    assertThat(database.client().sql(value).query(String.class).single()).isEqualTo("7");
  }

  @Test
  void aConstraintThatFailsAtTheCommitIsRolledBack() {
    String orphan =
        "insert into section (kit_id, number, name, name_key, rule) values (99, 1, 'S', 's', 'x')";
    assertThatThrownBy(() -> inTransaction("pragma defer_foreign_keys = on", orphan))
        .isInstanceOf(RuntimeException.class)
        .hasMessageContaining("section");
    assertThat(database.client().sql("select count(*) from section").query(Integer.class).single())
        .isZero();
    writesWorkOnEveryConnection();
  }

  /** Another process holds the lock for longer than we wait: before, later commits failed. */
  @Test
  void aBeginThatFailsLeavesNoConnectionWithoutTransactions() throws Exception {
    try (Connection other =
        DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("nine-veils.db"))) {
      other.createStatement().execute("begin exclusive");
      for (int i = 0; i < 5; i++) {
        assertThatThrownBy(() -> inTransaction("delete from preference"))
            .isInstanceOf(RuntimeException.class);
      }
      other.createStatement().execute("rollback");
    }
    writesWorkOnEveryConnection();
    assertThatThrownBy(
            () ->
                inTransaction(
                    "insert into preference (name, value) values ('q', '1')", "no statement"))
        .isInstanceOf(RuntimeException.class);
    assertThat(
            database
                .client()
                .sql("select count(*) from preference where name = 'q'")
                .query(Integer.class)
                .single())
        .as("what failed half-way was taken back")
        .isZero();
  }
}
