package umbel.app.people;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import umbel.app.UmbelSettings;
import umbel.app.farm.FarmAddress;
import umbel.app.http.Problems;
import umbel.text.Statement;

/**
 * Who may do what. Signing in is needed, but for the demo on this machine alone, where whoever sits at it is its grower. A
 * pruner sees the work, practises and reads the guide; an adviser reads and marks; accounts and limits are the grower's. What concerns every
 * farm, such as backups, is for whoever keeps the installation.
 */
@Configuration
class Security {

    /** The name under which the open demo works. */
    static final String DEMO = "Demo";

    private static final String GROWER = Role.GROWER.name();
    private static final String FOREMAN = Role.FOREMAN.name();
    private static final String PRUNER = Role.PRUNER.name();
    private static final String ADVISER = Role.ADVISER.name();

    private static final String[] GROWERS_OWN = {
        "/api/accounts/**",
        "/api/keys/**",
        "/api/invitations/**",
        "/api/audit",
        "/api/farms/this/**",
        "/api/holdings/*/limits",
        "/api/blocks/*/lines"
    };

    @Bean
    PasswordEncoder passwords() {
        return new LongPasswords();
    }

    @Bean
    SecurityContextRepository sessions() {
        return new HttpSessionSecurityContextRepository();
    }

    /** Signing in goes by our own page; this only keeps the framework from making up a user. */
    @Bean
    UserDetailsService nobody() {
        return login -> {
            throw new UsernameNotFoundException(login);
        };
    }

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http,
            UmbelSettings settings,
            SecurityContextRepository sessions,
            AuditFilter audit,
            KeyFilter keys,
            SessionGuard guard,
            Memberships memberships,
            @Value("${server.address:127.0.0.1}") String address)
            throws Exception {
        http.headers(AbstractHttpConfigurer::disable)
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .securityContext(context -> context.securityContextRepository(sessions))
                .addFilterBefore(guard, AuthorizationFilter.class)
                .addFilterAfter(keys, SessionGuard.class)
                .addFilterAfter(audit, AuthorizationFilter.class)
                .exceptionHandling(refused -> refused.authenticationEntryPoint((request, response, e) ->
                                Problems.write(response, 401, Statement.of("problem.sign-in")))
                        .accessDeniedHandler((request, response, e) ->
                                Problems.write(response, 403, Statement.of("problem.not-allowed"))));
        if (openDemo(settings, address)) {
            http.csrf(AbstractHttpConfigurer::disable)
                    .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                    .anonymous(one -> one.principal(DEMO).authorities("ROLE_" + GROWER))
                    .authorizeHttpRequests(any -> any.anyRequest().permitAll());
            return http.build();
        }
        AuthorizationManager<RequestAuthorizationContext> keeper =
                (who, request) -> new AuthorizationDecision(memberships
                        .of(who.get().getName(), FarmAddress.of(request.getRequest()))
                        .filter(memberships::isKeeper)
                        .isPresent());
        http.csrf(csrf -> csrf.spa().csrfTokenRepository(tokens()).ignoringRequestMatchers("/api/assess"))
                .authorizeHttpRequests(may -> may.requestMatchers(
                                "/api/session", "/api/session/first", "/api/session/join")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, "/api/assess")
                        .authenticated()
                        .requestMatchers("/api/session/password", "/api/session/role")
                        .hasAnyRole(GROWER, FOREMAN, PRUNER, ADVISER)
                        .requestMatchers(HttpMethod.PUT, "/api/settings/**")
                        .access(keeper)
                        .requestMatchers("/api/backup/**", "/api/backups/**")
                        .access(keeper)
                        .requestMatchers(HttpMethod.POST, "/api/farms")
                        .access(keeper)
                        .requestMatchers("/api/farms/archive/**")
                        .access(keeper)
                        .requestMatchers(HttpMethod.GET, "/api/farms", "/api/tags/*")
                        .hasAnyRole(GROWER, FOREMAN, PRUNER, ADVISER)
                        .requestMatchers(GROWERS_OWN)
                        .hasRole(GROWER)
                        .requestMatchers(HttpMethod.GET, "/api/field", "/api/field/**", "/api/trees/*/sheet.pdf")
                        .hasAnyRole(GROWER, FOREMAN, PRUNER, ADVISER)
                        .requestMatchers(HttpMethod.GET, "/api/practice/crew")
                        .hasAnyRole(GROWER, FOREMAN)
                        .requestMatchers(HttpMethod.GET, "/api/guide", "/api/guide/**")
                        .hasAnyRole(GROWER, FOREMAN, PRUNER, ADVISER)
                        .requestMatchers("/api/practice/**")
                        .hasAnyRole(GROWER, FOREMAN, PRUNER, ADVISER)
                        .requestMatchers(HttpMethod.POST, "/api/trees/*/records", "/api/trees/*/photos")
                        .hasAnyRole(GROWER, FOREMAN, PRUNER)
                        .requestMatchers(HttpMethod.GET, "/api/trees/*/photos", "/api/trees/*/photos/*")
                        .hasAnyRole(GROWER, FOREMAN, PRUNER, ADVISER)
                        .requestMatchers(HttpMethod.GET, "/api/**")
                        .hasAnyRole(GROWER, FOREMAN, ADVISER)
                        .requestMatchers(HttpMethod.POST, Asking.computing())
                        .hasAnyRole(GROWER, FOREMAN, ADVISER)
                        .requestMatchers(HttpMethod.PUT, "/api/trees/*/work")
                        .hasAnyRole(GROWER, FOREMAN, ADVISER)
                        .requestMatchers("/api/**")
                        .hasAnyRole(GROWER, FOREMAN)
                        .anyRequest()
                        .permitAll());
        return http.build();
    }

    /** The page's token travels in a cookie that its own script reads, sent by no other site. */
    private static CookieCsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
        return tokens;
    }

    /** Whether this is the demo and nobody but this machine can reach it. */
    static boolean openDemo(UmbelSettings settings, String address) {
        return settings.demo() && FirstAccountCode.isLoopback(address);
    }
}
