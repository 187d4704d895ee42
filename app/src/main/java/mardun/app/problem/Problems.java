package mardun.app.problem;

import java.io.IOException;
import java.net.URI;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import mardun.app.stored.DatabaseClosed;
import mardun.app.stored.DiskFullException;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import tools.jackson.databind.DatabindException;

/** Every error as problem details (RFC 9457) with a sentence that a maker can act on. */
@RestControllerAdvice
public class Problems extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    private static final Resource PAGE = new ClassPathResource("static/index.html");

    @ExceptionHandler
    ProblemDetail refused(RefusedException refused) {
        ProblemDetail problem = problem(refused.status(), "refused", refused.getMessage());
        problem.setProperty("errors", refused.problems());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail changedMeanwhile(ChangedMeanwhileException changed) {
        ProblemDetail problem = problem(HttpStatus.CONFLICT, "changed-meanwhile", changed.getMessage());
        problem.setProperty("currentVersion", changed.currentVersion());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail changedAtTheSameMoment(ObjectOptimisticLockingFailureException changed) {
        return problem(
                HttpStatus.CONFLICT,
                "changed-meanwhile",
                "This was changed in another tab or window at the same moment. Nothing of yours was stored; look again.");
    }

    @ExceptionHandler
    ProblemDetail metOthers(PessimisticLockingFailureException met) {
        LOG.warn("a request met others several times", met);
        return problem(
                HttpStatus.SERVICE_UNAVAILABLE,
                "busy",
                "Something else was writing to the same things all the while. Nothing of yours was stored; send it again.");
    }

    @ExceptionHandler
    ProblemDetail full(DiskFullException full) {
        return full();
    }

    private static ProblemDetail full() {
        return problem(HttpStatus.INSUFFICIENT_STORAGE, "disk-full", DiskFullException.SENTENCE);
    }

    @ExceptionHandler
    ProblemDetail taken(DataIntegrityViolationException taken) {
        LOG.info("refused by the database: {}", taken.getMostSpecificCause().getMessage());
        return problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "refused",
                "This doesn't go together with what is stored already. Nothing was changed.");
    }

    @ExceptionHandler
    ProblemDetail brokenAddress(InvalidParameterException broken) {
        return problem(
                HttpStatus.BAD_REQUEST,
                "unreadable",
                "The address holds a character that can't be read. Type it anew, or begin at the places on the left.");
    }

    @ExceptionHandler
    ProblemDetail unexpected(Exception unexpected) {
        if (DiskFullException.isBehind(unexpected)) {
            return full();
        }
        LOG.error("A request failed", unexpected);
        if (DatabaseClosed.isBehind(unexpected)) {
            return problem(HttpStatus.SERVICE_UNAVAILABLE, "closed", DatabaseClosed.SENTENCE);
        }
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "unexpected",
                "Something went wrong inside Mardun; nothing was stored. The log says more.");
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException invalid, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<FieldProblem> errors = invalid.getFieldErrors().stream()
                .map(error -> new FieldProblem(
                        error.getField(),
                        String.valueOf(error.getRejectedValue()),
                        "“" + abbreviated(error.getRejectedValue()) + "” " + error.getDefaultMessage() + "."))
                .sorted(Comparator.comparing(FieldProblem::field))
                .toList();
        ProblemDetail problem = problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "refused",
                errors.isEmpty() ? "The request can't be taken." : errors.get(0).sentence());
        problem.setProperty("errors", errors);
        return ResponseEntity.unprocessableContent().body(problem);
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException unreadable,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        if (unreadable.getCause() instanceof IOException) {
            return ResponseEntity.status(HttpStatus.REQUEST_TIMEOUT)
                    .body(problem(
                            HttpStatus.REQUEST_TIMEOUT,
                            "broken-off",
                            "The request broke off or came too slowly. Nothing of it was taken; send it again."));
        }
        String where = unreadable.getCause() instanceof DatabindException mismatch ? placeOf(mismatch) : "";
        return unreadable(
                "The request isn't JSON of the form described" + (where.isEmpty() ? "." : ": see “" + where + "”."));
    }

    /** Who opens an address that isn't there gets the interface, which says so in its own words; who asks for data gets a sentence. */
    @Override
    protected ResponseEntity<Object> handleNoResourceFoundException(
            NoResourceFoundException nothing, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String accepts = String.valueOf(request.getHeader(HttpHeaders.ACCEPT));
        if (accepts.contains(MediaType.TEXT_HTML_VALUE)
                && !nothing.getResourcePath().startsWith("api/")
                && PAGE.exists()) {
            return ResponseEntity.status(status)
                    .contentType(MediaType.TEXT_HTML)
                    .cacheControl(CacheControl.noStore())
                    .body(PAGE);
        }
        return ResponseEntity.status(status)
                .body(problem(
                        HttpStatus.NOT_FOUND,
                        "missing",
                        "There is nothing at this address. Begin at the places on the left."));
    }

    @Override
    protected ResponseEntity<Object> handleMissingServletRequestParameter(
            MissingServletRequestParameterException missing,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        String name = missing.getParameterName();
        return unreadable(
                "The address doesn't say “" + name + "”, and can't be answered without. Add " + name + "=… to it.");
    }

    @Override
    protected ResponseEntity<Object> handleTypeMismatch(
            TypeMismatchException mismatch, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String name = mismatch.getPropertyName() == null ? "it" : "“" + mismatch.getPropertyName() + "”";
        return unreadable("The address says “" + TypedText.clean(abbreviated(mismatch.getValue())) + "” for " + name
                + ", which should be " + awaited(mismatch.getRequiredType()) + ".");
    }

    private static String awaited(@Nullable Class<?> type) {
        if (type == null) {
            return "something else";
        }
        if (type.isEnum()) {
            return "one of "
                    + Arrays.stream(type.getEnumConstants())
                            .map(String::valueOf)
                            .collect(Collectors.joining(", "));
        }
        return switch (type.getSimpleName()) {
            case "boolean", "Boolean" -> "true or false";
            case "LocalDate" -> "a day such as 2027-05-31";
            case "YearMonth" -> "a month such as 2027-05";
            case "UUID" -> "an id of 32 digits and letters";
            default -> "a whole number";
        };
    }

    private static ResponseEntity<Object> unreadable(String sentence) {
        return ResponseEntity.badRequest().body(problem(HttpStatus.BAD_REQUEST, "unreadable", sentence));
    }

    private static String placeOf(DatabindException mismatch) {
        return mismatch.getPath().stream()
                .map(step ->
                        step.getPropertyName() == null ? Integer.toString(step.getIndex()) : step.getPropertyName())
                .collect(Collectors.joining("."));
    }

    private static String abbreviated(Object value) {
        String text = String.valueOf(value);
        return text.length() <= 40 ? text : text.substring(0, 40) + "…";
    }

    private static ProblemDetail problem(HttpStatus status, String type, String sentence) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, sentence);
        problem.setType(URI.create("/problems/" + type));
        return problem;
    }
}
