package app.tychon.server.pool;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Tells the pool while requests are being answered, so that an edit need not wait for a long run's processors. */
@Component
class RequestsFirst extends OncePerRequestFilter {
    private final EnginePool pool;

    RequestsFirst(EnginePool pool) {
        this.pool = pool;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        pool.requestBegun();
        try {
            chain.doFilter(request, response);
        } finally {
            pool.requestEnded();
        }
    }
}
