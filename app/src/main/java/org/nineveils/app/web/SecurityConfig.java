package org.nineveils.app.web;

import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.StrictHttpFirewall;

/**
 * One maker at her own machine: no log-in on loopback; with a password set, log-in everywhere. CSRF
 * protection and a content security policy hold in both cases.
 */
@Configuration(proxyBeanMethods = false)
class SecurityConfig {
  private static final String POLICY =
      "default-src 'self'; img-src 'self' blob: data:; object-src 'none'; base-uri 'none'; "
          + "form-action 'self'; frame-ancestors 'none'";

  private static final Set<String> LOOPBACK_NAMES =
      Set.of("127.0.0.1", "localhost", "[::1]", "0:0:0:0:0:0:0:1");

  @Bean
  SecurityFilterChain chain(HttpSecurity http, @Value("${nineveils.password}") String password) {
    http.headers(
        headers ->
            headers
                .contentSecurityPolicy(csp -> csp.policyDirectives(POLICY))
                .frameOptions(HeadersConfigurer.FrameOptionsConfig::deny)
                // Each answer says itself how long it may be kept.
                .cacheControl(HeadersConfigurer.CacheControlConfig::disable));
    if (password.isEmpty()) {
      http.authorizeHttpRequests(all -> all.anyRequest().permitAll());
    } else {
      http.authorizeHttpRequests(all -> all.anyRequest().authenticated())
          .formLogin(Customizer.withDefaults());
    }
    return http.build();
  }

  /**
   * Without a password, only requests addressed to this machine by name are answered, so that no
   * foreign page can reach the application through a name of its own that points here.
   */
  @Bean
  HttpFirewall firewall(@Value("${nineveils.password}") String password) {
    StrictHttpFirewall firewall = new StrictHttpFirewall();
    if (password.isEmpty()) {
      firewall.setAllowedHostnames(LOOPBACK_NAMES::contains);
    }
    return firewall;
  }

  @Bean
  UserDetailsService users(@Value("${nineveils.password}") String password) {
    // {noop}: the password stands in the environment of this process anyway.
    return new InMemoryUserDetailsManager(
        User.withUsername("maker").password("{noop}" + password).roles("MAKER").build());
  }
}
