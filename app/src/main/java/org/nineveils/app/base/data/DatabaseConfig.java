package org.nineveils.app.base.data;

import java.time.Clock;
import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** How the database is spoken to. */
@Configuration(proxyBeanMethods = false)
class DatabaseConfig {
  @Bean
  PlatformTransactionManager transactions(DataSource pool) {
    return new SafeTransactions(pool);
  }

  @Bean
  TransactionTemplate transaction(PlatformTransactionManager transactions) {
    return new TransactionTemplate(transactions);
  }

  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
