package org.nineveils.app.data;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.config.BeanFactoryPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;

/** The folder that holds the database and all files; made before the database is opened. */
@Configuration(proxyBeanMethods = false)
public class DataFolder {
  static final String PROPERTY = "nineveils.data";

  /** Runs before any data source exists. */
  @Bean
  static BeanFactoryPostProcessor dataFolderExists(Environment environment) {
    return factory -> {
      try {
        Files.createDirectories(path(environment));
      } catch (IOException e) {
        throw new IllegalStateException(
            "The data folder %s cannot be made.".formatted(path(environment)), e);
      }
    };
  }

  @Bean
  Blobs blobs(Environment environment) {
    return new Blobs(path(environment).resolve("files"));
  }

  @Bean
  PictureCache pictureCache(Environment environment) {
    return new PictureCache(path(environment).resolve("thumbnails"));
  }

  private static Path path(Environment environment) {
    return Path.of(environment.getRequiredProperty(PROPERTY)).toAbsolutePath().normalize();
  }
}
