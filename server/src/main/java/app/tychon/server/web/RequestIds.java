package app.tychon.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.HexFormat;
import java.util.concurrent.ThreadLocalRandom;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Gives each request a name, which its answer, the log and the audit trail carry, so that one leads to the others. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestIds extends OncePerRequestFilter {
    /** In the log's context. */
    private static final String NAME = "request";

    private static final String HEADER = "Tychon-Request";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String id = HexFormat.of().toHexDigits(ThreadLocalRandom.current().nextLong(), 10);
        response.setHeader(HEADER, id);
        MDC.put(NAME, id);
        try {
            chain.doFilter(request, response);
        } finally {
            MDC.remove(NAME);
        }
    }
}
