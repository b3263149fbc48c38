package app.tychon.server.door;

import app.tychon.server.people.OwnAccount;
import app.tychon.server.people.People;
import app.tychon.server.rights.Who;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Programs say who they are with every request: {@code Authorization: Bearer …}. */
class BearerFilter extends OncePerRequestFilter {
    private static final String BEARER = "Bearer ";

    private final MachineKey machine;
    private final OwnAccount accounts;
    private final People people;

    BearerFilter(MachineKey machine, OwnAccount accounts, People people) {
        this.machine = machine;
        this.accounts = accounts;
        this.people = people;
    }

    /** Whether a request says who it is by itself, so that no other page can have sent it in somebody's name. */
    static boolean bears(HttpServletRequest request) {
        String header = request.getHeader(HttpHeaders.AUTHORIZATION);
        return header != null && header.startsWith(BEARER);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (bears(request)) {
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            who(request.getHeader(HttpHeaders.AUTHORIZATION).substring(BEARER.length()))
                    .ifPresent(who -> context.setAuthentication(
                            UsernamePasswordAuthenticationToken.authenticated(who, null, List.of())));
            SecurityContextHolder.setContext(context);
        }
        chain.doFilter(request, response);
    }

    private Optional<Who> who(String key) {
        if (machine.is(key)) {
            return Optional.of(people.areHere() ? Who.MACHINE : Who.ALONE);
        }
        return accounts.byToken(key);
    }
}
