package org.nineveils.app.photo.render;

import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.BudgetKeep;
import org.nineveils.stack.Preparations;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What all renders of the application share, within its budget of memory. */
@Configuration(proxyBeanMethods = false)
class EngineConfig {
  @Bean
  Preparations preparations(Budget budget) {
    return new Preparations(new BudgetKeep<>(budget, "prepared maths"));
  }
}
