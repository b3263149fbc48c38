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
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps pages of other sites out, which a browser on this machine may have open under a name of their own: the name a request
 * calls the server by must be one that is served.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestGuard extends OncePerRequestFilter {
    private static final Set<String> THIS_MACHINE = Set.of("127.0.0.1", "localhost", "[::1]");
    private static final int MISDIRECTED = 421;

    private final Set<String> hosts;

    /** @param hosts names the server is called by beside those of this machine */
    RequestGuard(@Value("${tychon.hosts:}") Set<String> hosts) {
        this.hosts = hosts;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host = host(request);
        if (THIS_MACHINE.contains(host) || hosts.contains(host)) {
            chain.doFilter(request, response);
            return;
        }
        response.setStatus(MISDIRECTED);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter()
                .write(
                        "{\"status\":" + MISDIRECTED
                                + ",\"detail\":\"This server is not called by that name. Set TYCHON_HOSTS to the names it is called by.\"}");
    }

    private static String host(HttpServletRequest request) {
        String host = request.getHeader(HttpHeaders.HOST);
        if (host == null) {
            return request.getServerName();
        }
        return host.replaceFirst(":\\d+$", "");
    }
}
