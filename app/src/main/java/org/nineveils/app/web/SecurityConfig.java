package org.nineveils.app.web;

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

/**
 * One maker at her own machine: no log-in on loopback; with a password set, log-in everywhere. CSRF
 * protection and a content security policy hold in both cases.
 */
@Configuration(proxyBeanMethods = false)
class SecurityConfig {
  private static final String POLICY =
      "default-src 'self'; img-src 'self' blob: data:; object-src 'none'; base-uri 'none'; "
          + "form-action 'self'; frame-ancestors 'none'";

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

  @Bean
  UserDetailsService users(@Value("${nineveils.password}") String password) {
    // {noop}: the password stands in the environment of this process anyway.
    return new InMemoryUserDetailsManager(
        User.withUsername("maker").password("{noop}" + password).roles("MAKER").build());
  }
}
