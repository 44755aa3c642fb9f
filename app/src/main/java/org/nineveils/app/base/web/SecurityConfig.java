package org.nineveils.app.base.web;

import java.time.Clock;
import java.time.Duration;
import java.util.Set;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.header.writers.StaticHeadersWriter;

/**
 * One maker at her own machine: no log-in on loopback; with a password set, log-in everywhere. CSRF
 * protection, a content security policy and a check of where requests come from hold in both cases.
 *
 * <p>The token lies in a cookie of its own, not in a session, so that pages that are open stay good
 * over a restart and a long idle time.
 */
@Configuration(proxyBeanMethods = false)
class SecurityConfig {
  static final String LOG_IN = "/log-in";

  private static final String POLICY =
      "default-src 'self'; img-src 'self' blob: data:; object-src 'none'; base-uri 'none'; "
          + "form-action 'self'; frame-ancestors 'none'";

  private static final Set<String> LOOPBACK_NAMES =
      Set.of("127.0.0.1", "localhost", "[::1]", "0:0:0:0:0:0:0:1");

  private static final Duration TOKEN_LASTS = Duration.ofDays(400); // as long as browsers allow

  private static final String[] SHOWN_BEFORE_LOG_IN = {
    LOG_IN, "/css/**", "/fonts/**", "/favicon.svg"
  };

  @Bean
  SecurityFilterChain chain(HttpSecurity http, Password password) {
    http.headers(SecurityConfig::headers)
        .csrf(csrf -> csrf.csrfTokenRepository(tokens()))
        .exceptionHandling(faults -> faults.accessDeniedHandler(new Forbidden()))
        .addFilterBefore(new OriginFilter(), CsrfFilter.class);
    if (!password.isSet()) {
      http.authorizeHttpRequests(all -> all.anyRequest().permitAll())
          .logout(out -> out.disable())
          .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS));
    } else {
      http.authorizeHttpRequests(
              all ->
                  all.requestMatchers(SHOWN_BEFORE_LOG_IN).permitAll().anyRequest().authenticated())
          .headers(
              h -> h.addHeaderWriter(new StaticHeadersWriter("Cache-Control", "no-store, private")))
          .exceptionHandling(
              faults ->
                  faults.defaultAuthenticationEntryPointFor(
                      new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED),
                      request -> request.getRequestURI().startsWith("/api/")))
          .formLogin(
              form ->
                  form.loginPage(LOG_IN)
                      .defaultSuccessUrl("/kits")
                      .failureHandler(WrongPasswords.onFailure()))
          .logout(out -> out.logoutUrl("/log-out").logoutSuccessUrl(LOG_IN));
    }
    return http.build();
  }

  private static void headers(HeadersConfigurer<HttpSecurity> headers) {
    headers
        .contentSecurityPolicy(csp -> csp.policyDirectives(POLICY))
        .frameOptions(HeadersConfigurer.FrameOptionsConfig::deny)
        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
        .crossOriginOpenerPolicy(coop -> coop.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
        .crossOriginResourcePolicy(corp -> corp.policy(CrossOriginResourcePolicy.SAME_ORIGIN))
        // Each answer says itself how long it may be kept.
        .cacheControl(HeadersConfigurer.CacheControlConfig::disable);
  }

  private static CookieCsrfTokenRepository tokens() {
    CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
    tokens.setCookieName("nine-veils-token");
    tokens.setHeaderName("X-CSRF-TOKEN");
    tokens.setCookieCustomizer(
        cookie -> cookie.httpOnly(true).sameSite("Strict").maxAge(TOKEN_LASTS));
    return tokens;
  }

  /**
   * Without a password, only requests addressed to this machine by name are answered, so that no
   * foreign page can reach the application through a name of its own that points here.
   */
  @Bean
  HttpFirewall firewall(Password password) {
    StrictHttpFirewall firewall = new StrictHttpFirewall();
    if (!password.isSet()) {
      firewall.setAllowedHostnames(LOOPBACK_NAMES::contains);
    }
    return firewall;
  }

  /**
   * The one provider, taken up by itself: named to the chain as well, it would look at each
   * password twice. {noop}: the password stands in the environment of this process anyway.
   */
  @Bean
  static WrongPasswords wrongPasswords(Clock clock, Password password) {
    return new WrongPasswords(
        clock,
        new InMemoryUserDetailsManager(
            User.withUsername("maker")
                .password("{noop}" + password.value())
                .roles("MAKER")
                .build()));
  }
}
