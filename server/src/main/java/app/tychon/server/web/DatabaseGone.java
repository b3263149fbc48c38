package app.tychon.server.web;

import app.tychon.server.problems.LostConnection;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * Where the database does not answer before a handler was reached, as when it is asked who is signed in, or after, when the
 * session is kept, it is told as in handlers. A change may have been kept in between, so of changes nothing is promised.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class DatabaseGone extends OncePerRequestFilter {
    private final HandlerExceptionResolver faults;

    DatabaseGone(@Qualifier("handlerExceptionResolver") HandlerExceptionResolver faults) {
        this.faults = faults;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException e) {
            if (response.isCommitted() || !(e instanceof DataAccessException || LostConnection.isBehind(e))) {
                throw e;
            }
            tell(request, response, e);
        }
    }

    private void tell(HttpServletRequest request, HttpServletResponse response, Exception e) {
        response.resetBuffer();
        faults.resolveException(
                request, response, null, new DataAccessResourceFailureException("outside of any handler", e));
    }
}
