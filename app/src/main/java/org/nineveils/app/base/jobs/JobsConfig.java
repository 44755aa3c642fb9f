package org.nineveils.app.base.jobs;

import org.nineveils.app.base.data.DataFolder;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;

/** Where jobs keep their files. */
@Configuration(proxyBeanMethods = false)
class JobsConfig {
  @Bean
  JobFolders jobFolders(Environment environment) {
    return new JobFolders(DataFolder.path(environment).resolve("jobs"));
  }
}
