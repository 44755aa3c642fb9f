package org.nineveils.app.base.web;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.concurrent.TimeUnit;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.http.CacheControl;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Scripts and styles under an address that changes with what is in them, so that a browser keeps
 * them and a page costs no more than itself. Scripts that load each other by relative addresses
 * stay under the same one.
 */
@Component
public class KeptFiles implements WebMvcConfigurer {
  private static final int LETTERS = 12;
  private static final CacheControl FOR_GOOD =
      CacheControl.maxAge(365, TimeUnit.DAYS).cachePublic().immutable();

  private final String address;

  KeptFiles() {
    address = "/kept/" + contents().substring(0, LETTERS);
  }

  /** What stands before “/js/…” and “/css/…”. */
  public String address() {
    return address;
  }

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler(address + "/**")
        .addResourceLocations("classpath:/static/")
        .setCacheControl(FOR_GOOD);
    registry
        .addResourceHandler("/fonts/**") // a font that changes gets another name
        .addResourceLocations("classpath:/static/fonts/")
        .setCacheControl(FOR_GOOD);
  }

  /** SHA-256 over all that is served, file by file in the order of their addresses. */
  private static String contents() {
    try {
      Resource[] files =
          new PathMatchingResourcePatternResolver().getResources("classpath*:/static/**/*.*");
      Arrays.sort(files, Comparator.comparing(KeptFiles::name));
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      for (Resource file : files) {
        digest.update(name(file).getBytes(StandardCharsets.UTF_8));
        try (InputStream in = file.getInputStream()) {
          digest.update(in.readAllBytes());
        }
      }
      return HexFormat.of().formatHex(digest.digest());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  private static String name(Resource file) {
    try {
      String url = file.getURL().toString();
      return url.substring(url.lastIndexOf("/static/"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
