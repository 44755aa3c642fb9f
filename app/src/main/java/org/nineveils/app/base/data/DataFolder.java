package org.nineveils.app.base.data;

import java.nio.file.Path;
import org.nineveils.app.base.start.DataCheck;
import org.springframework.beans.factory.config.BeanFactoryPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;

/** The folder that holds the database and all files; looked at before the database is opened. */
@Configuration(proxyBeanMethods = false)
public class DataFolder {
  public static final String PROPERTY = "nineveils.data";

  /** Set by scripts/watched where it starts the application once more. */
  static final String STARTED_AGAIN = "NINEVEILS_STARTED_AGAIN";

  /** Runs before any data source exists; the folder is ours until the application ends. */
  @Bean
  static BeanFactoryPostProcessor dataFolderIsSound(Environment environment) {
    return factory -> {
      DataCheck check =
          DataCheck.of(
              path(environment),
              restore(environment),
              environment.getProperty("nineveils.fresh", Boolean.class, false));
      factory.registerSingleton("dataCheck", check);
      if (factory
          instanceof org.springframework.beans.factory.support.DefaultSingletonBeanRegistry beans) {
        beans.registerDisposableBean("dataCheck", check::close);
      }
    };
  }

  /** What was restored at the first start is not restored again where the launcher starts anew. */
  private static String restore(Environment environment) {
    boolean again = environment.containsProperty(STARTED_AGAIN);
    return again ? "" : environment.getProperty("nineveils.restore", "");
  }

  @Bean
  Blobs blobs(Environment environment) {
    return new Blobs(path(environment).resolve("files"));
  }

  @Bean
  PictureCache pictureCache(Environment environment) {
    return new PictureCache(path(environment).resolve("thumbnails"));
  }

  /** The folder itself. */
  public static Path path(Environment environment) {
    return Path.of(environment.getRequiredProperty(PROPERTY)).toAbsolutePath().normalize();
  }
}
