package app.tychon.server.problems;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Problem;
import com.fasterxml.jackson.core.exc.StreamReadException;
import com.fasterxml.jackson.databind.JsonMappingException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.ConstraintViolationException;
import java.util.List;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.ServletWebRequest;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Errors as problem details (RFC 9457), with every field's problem in {@code problems}. */
@RestControllerAdvice
class ApiProblems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(ApiProblems.class);

    private final Commits commits;

    ApiProblems(Commits commits) {
        this.commits = commits;
    }

    /** What went wrong that nobody foresaw: its sentence names the request, by which the log tells of it. */
    @ExceptionHandler
    ProblemDetail unforeseen(RuntimeException e, HttpServletRequest request) {
        if (LostConnection.isBehind(e)) {
            return outcomeUnknown(e, request);
        }
        LOG.error("A request failed", e);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong here that nobody foresaw. Whoever looks after the server finds it in its log as request "
                        + MDC.get("request") + ".");
    }

    @ExceptionHandler
    ProblemDetail invalid(InvalidPlanException e) {
        return detail(HttpStatus.UNPROCESSABLE_ENTITY, "Not accepted", e.problems());
    }

    @ExceptionHandler
    ProblemDetail notFound(NotFoundException e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, e.getMessage());
    }

    @ExceptionHandler
    ProblemDetail conflict(ConflictException e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.getMessage());
        if (!e.clashes().isEmpty()) {
            detail.setProperty("clashes", e.clashes());
        }
        return detail;
    }

    @ExceptionHandler
    ProblemDetail forbidden(AccessDeniedException e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.FORBIDDEN, e.getMessage());
    }

    @ExceptionHandler
    ProblemDetail outOfRange(IllegalArgumentException e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_ENTITY, e.getMessage());
    }

    @ExceptionHandler
    ProblemDetail violated(ConstraintViolationException e) {
        return detail(
                HttpStatus.UNPROCESSABLE_ENTITY,
                "Not accepted",
                e.getConstraintViolations().stream()
                        .map(v -> new Problem("/" + v.getPropertyPath(), v.getMessage()))
                        .toList());
    }

    @ExceptionHandler
    ProblemDetail busy(BusyException e) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage());
        detail.setTitle("Busy");
        return detail;
    }

    /** No transaction was begun, or it was given up before its commit. */
    @ExceptionHandler({CannotCreateTransactionException.class, PessimisticLockingFailureException.class})
    ProblemDetail databaseNotReached(Exception e, HttpServletRequest request) {
        if (commits.any()) {
            return outcomeUnknown(e, request);
        }
        LOG.error("The database does not answer", e);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "The database does not answer. Nothing was changed; try again in a moment.");
    }

    /** The database refused the data itself, which the rules of a plan should have told: our fault, and no use to try again. */
    @ExceptionHandler
    ProblemDetail notStorable(DataIntegrityViolationException e) {
        LOG.error("The database refused data that passed all rules", e);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.UNPROCESSABLE_ENTITY,
                "The database cannot keep this as it is. Nothing was changed; change what was entered and try again.");
    }

    /** The database went away in between: at the commit, nobody knows on which side of it. */
    @ExceptionHandler({DataAccessException.class, TransactionException.class})
    ProblemDetail outcomeUnknown(Exception e, HttpServletRequest request) {
        LOG.error("The database failed", e);
        boolean reads = request.getMethod().equals("GET");
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.SERVICE_UNAVAILABLE,
                reads
                        ? "The database does not answer. Try again in a moment."
                        : "The database went away before it confirmed the change, so it is not known whether it was kept."
                                + " Look at the plan as it is once the database is back.");
        detail.setProperty("outcome", reads ? "none" : "unknown");
        return detail;
    }

    @Override
    protected ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.PAYLOAD_TOO_LARGE,
                "The file is too large; a schedule of 100,000 activities has less than 50 MB. Export the table alone.");
        return handleExceptionInternal(e, detail, headers, HttpStatus.PAYLOAD_TOO_LARGE, request);
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<Problem> problems = e.getFieldErrors().stream()
                .map(error -> new Problem("/" + error.getField(), error.getDefaultMessage()))
                .toList();
        return handleExceptionInternal(
                e,
                detail(HttpStatus.UNPROCESSABLE_ENTITY, "Not accepted", problems),
                headers,
                HttpStatus.UNPROCESSABLE_ENTITY,
                request);
    }

    /** A body that was too large, or too slow, says so itself. */
    @ExceptionHandler
    ProblemDetail body(BodyTooMuch e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.PAYLOAD_TOO_LARGE, e.getMessage());
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        if (NestedExceptionUtils.getMostSpecificCause(e) instanceof BodyTooMuch tooMuch) {
            return handleExceptionInternal(e, body(tooMuch), headers, HttpStatus.PAYLOAD_TOO_LARGE, request);
        }
        ProblemDetail detail = e.getCause() instanceof JsonMappingException mapping
                        && !(mapping.getCause() instanceof StreamReadException)
                ? detail(
                        HttpStatus.BAD_REQUEST,
                        "Not understood",
                        List.of(new Problem(pointer(mapping), "is not of the kind that belongs here")))
                : ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, "The request is not sound JSON.");
        return handleExceptionInternal(e, detail, headers, HttpStatus.BAD_REQUEST, request);
    }

    /** The session is kept when the answer begins, so the database may go away there, too. */
    @Override
    protected ResponseEntity<Object> handleHttpMessageNotWritable(
            HttpMessageNotWritableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        if (!LostConnection.isBehind(e) || !(request instanceof ServletWebRequest web)) {
            return super.handleHttpMessageNotWritable(e, headers, status, request);
        }
        ProblemDetail detail = outcomeUnknown(e, web.getRequest());
        return handleExceptionInternal(e, detail, headers, HttpStatus.SERVICE_UNAVAILABLE, request);
    }

    @Override
    protected ResponseEntity<Object> handleHandlerMethodValidationException(
            HandlerMethodValidationException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<Problem> problems = e.getParameterValidationResults().stream()
                .flatMap(result -> result.getResolvableErrors().stream()
                        .map(error -> new Problem(
                                "/" + result.getMethodParameter().getParameterName(), error.getDefaultMessage())))
                .toList();
        return handleExceptionInternal(
                e,
                detail(HttpStatus.UNPROCESSABLE_ENTITY, "Not accepted", problems),
                headers,
                HttpStatus.UNPROCESSABLE_ENTITY,
                request);
    }

    private static String pointer(JsonMappingException e) {
        return e.getPath().stream()
                .map(step -> "/" + (step.getFieldName() == null ? step.getIndex() : step.getFieldName()))
                .collect(Collectors.joining());
    }

    private static ProblemDetail detail(HttpStatus status, String title, List<Problem> problems) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                status, problems.stream().map(Problem::message).distinct().collect(Collectors.joining("; ")));
        detail.setTitle(title);
        detail.setProperty("problems", problems);
        return detail;
    }
}
