package app.tychon.server.problems;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Whether a handler has changed something already when the database goes away: several transactions may stand behind one
 * request, and only before the first of them it is true that nothing was changed.
 */
@Component
class Commits implements TransactionExecutionListener, HandlerInterceptor, WebMvcConfigurer {
    private final ThreadLocal<Boolean> committed = ThreadLocal.withInitial(() -> false);

    /** Whether this thread has kept something since its handler began. */
    boolean any() {
        return committed.get();
    }

    @Override
    public void afterCommit(TransactionExecution transaction, Throwable failure) {
        if (transaction.isNewTransaction() && !transaction.isReadOnly()) {
            committed.set(true);
        }
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        committed.remove();
        return true;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }
}
