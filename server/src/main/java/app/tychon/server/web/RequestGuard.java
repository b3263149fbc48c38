package app.tychon.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps pages of other sites out, which a browser on this machine may have open: the name it was called by must be one that
 * is served, and every change carries a header that a form or a page from elsewhere cannot send. Says what a browser may
 * do with what is served.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestGuard extends OncePerRequestFilter {
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");
    private static final Set<String> THIS_MACHINE = Set.of("127.0.0.1", "localhost", "[::1]");
    /** Styles are made while the application runs; pictures and type may lie within them. */
    private static final String CONTENT_POLICY = "default-src 'self'; style-src 'self' 'unsafe-inline';"
            + " img-src 'self' data: blob:; font-src 'self' data:; connect-src 'self' data: blob:; object-src 'none';"
            + " base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    private static final int MISDIRECTED = 421;

    private final Set<String> hosts;

    /** @param hosts names the server is called by beside those of this machine */
    RequestGuard(@Value("${tychon.hosts:}") Set<String> hosts) {
        this.hosts = hosts;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader("Content-Security-Policy", CONTENT_POLICY);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("X-Frame-Options", "DENY");
        response.setHeader("Referrer-Policy", "same-origin");
        response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
        response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
        String host = host(request);
        if (!THIS_MACHINE.contains(host) && !hosts.contains(host)) {
            refuse(
                    response,
                    MISDIRECTED,
                    "This server is not called by that name. Set TYCHON_HOSTS to the names it is called by.");
        } else if (!READING.contains(request.getMethod()) && request.getHeader(Headers.PERSON) == null) {
            refuse(
                    response,
                    HttpStatus.FORBIDDEN.value(),
                    "A change must say who makes it, in the header " + Headers.PERSON + ". Nothing was changed.");
        } else {
            chain.doFilter(request, response);
        }
    }

    private static String host(HttpServletRequest request) {
        String host = request.getHeader(HttpHeaders.HOST);
        if (host == null) {
            return request.getServerName();
        }
        return host.replaceFirst(":\\d+$", "");
    }

    private static void refuse(HttpServletResponse response, int status, String sentence) throws IOException {
        response.setStatus(status);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter().write("{\"status\":" + status + ",\"detail\":\"" + sentence + "\"}");
    }
}
