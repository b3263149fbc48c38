package app.tychon.server.door;

import app.tychon.server.people.People;
import app.tychon.server.people.SignIn;
import app.tychon.server.rights.Who;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Ends sessions that have lasted long enough, however busy they are, and those of the one person of a machine as soon as
 * somebody has an account.
 */
class SessionLimits extends OncePerRequestFilter {
    private final People people;
    private final Duration longest;
    private final Clock clock;

    SessionLimits(People people, Duration longest, Clock clock) {
        this.people = people;
        this.longest = longest;
        this.clock = clock;
    }

    /** The interface's own files are for everybody: no session is looked for, and no database asked. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        return !path.startsWith("/api/") && !path.equals("/metrics");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        HttpSession session = request.getSession(false);
        if (session != null && !BearerFilter.bears(request) && isOver(session)) {
            session.invalidate();
            SecurityContextHolder.clearContext();
        }
        chain.doFilter(request, response);
    }

    private boolean isOver(HttpSession session) {
        Who.Kind kind = Who.now().map(Who::kind).orElse(null);
        if (kind == Who.Kind.ALONE) {
            return people.areHere();
        }
        return kind == Who.Kind.PERSON
                && SignIn.signedInAt(session).plus(longest).isBefore(clock.instant());
    }
}
