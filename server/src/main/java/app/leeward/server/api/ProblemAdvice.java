package app.leeward.server.api;

import app.leeward.core.refusal.Refusal;
import app.leeward.formats.json.NewerSchema;
import app.leeward.formats.json.StoredJson;
import app.leeward.server.studio.DatabaseAway;
import app.leeward.server.studio.Problem;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import com.fasterxml.jackson.databind.exc.ValueInstantiationException;
import java.util.Collection;
import java.util.Optional;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Turns whatever goes wrong into a problem document with a sentence and a stable {@code code}. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);
    private static final String AGAIN_SECONDS = "3";
    private static final int LONGEST_TOLD = 60;

    private final ApplicationEventPublisher events;

    ProblemAdvice(ApplicationEventPublisher events) {
        this.events = events;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> problem(Problem e) {
        ProblemDetail detail = detail(e.status(), e.code(), e.getMessage());
        detail.setProperty("place", e.place());
        if (!e.since().isEmpty()) {
            detail.setProperty("since", e.since());
            detail.setProperty("sinceAll", e.sinceAll());
        }
        return answer(detail);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refusal e) {
        return answer(detail(HttpStatus.UNPROCESSABLE_ENTITY, e.reason().word(), e.getMessage()));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> newer(NewerSchema e) {
        return answer(detail(
                HttpStatus.CONFLICT,
                "newer-schema",
                "This was saved by a later version of Leeward, in form " + e.schema() + "; this one reads up to form "
                        + StoredJson.SCHEMA + ". Nothing was changed: start the later version to go on."));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> broken(MultipartException e) {
        return answer(detail(HttpStatus.BAD_REQUEST, "unreadable", "The form that was sent is broken or cut off."));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> memory(OutOfMemoryError e) {
        LOG.error("The memory is used up", e);
        return answer(detail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "memory-busy",
                "Leeward has more to do than it has memory for; nothing was changed. Try again in a moment."));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> fault(RuntimeException e) {
        Optional<DatabaseAway> away = DatabaseAway.behind(e);
        if (away.isPresent()) {
            events.publishEvent(away.get());
            HttpStatus status =
                    away.get() == DatabaseAway.FULL ? HttpStatus.INSUFFICIENT_STORAGE : HttpStatus.SERVICE_UNAVAILABLE;
            LOG.warn(
                    "{} {}",
                    away.get().message(),
                    String.valueOf(e.getMessage()).lines().findFirst().orElse(""));
            return answer(detail(status, away.get().code(), away.get().message()));
        }
        LOG.error("A request failed", e);
        return answer(detail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "fault",
                "Leeward made a mistake; nothing was changed. The server's log says more."));
    }

    private static ResponseEntity<ProblemDetail> answer(ProblemDetail detail) {
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(detail.getStatus());
        if (detail.getStatus() == HttpStatus.SERVICE_UNAVAILABLE.value()) {
            answer.header(HttpHeaders.RETRY_AFTER, AGAIN_SECONDS);
        }
        return answer.body(detail);
    }

    private static ProblemDetail detail(HttpStatusCode status, String code, String message) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, message);
        detail.setProperty("code", code);
        return detail;
    }

    /** What a status means, where nothing more is known. */
    static ProblemDetail plain(HttpStatusCode status) {
        String message =
                switch (status.value()) {
                    case 400 -> "What was sent cannot be read.";
                    case 404 -> "There is nothing at this address.";
                    case 405 -> "This address is not asked that way.";
                    case 406 -> "This address does not answer in the form that was asked for.";
                    case 408 -> "What was announced did not come in time.";
                    case 413 -> "What was sent is too large.";
                    case 415 -> "What was sent is not in a form this address reads.";
                    default ->
                        status.is5xxServerError()
                                ? "Leeward made a mistake; nothing was changed. The server's log says more."
                                : "This cannot be done.";
                };
        return detail(status, status.value() == 404 ? "not-there" : "http-" + status.value(), message);
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        if (e.getMostSpecificCause() instanceof Problem p) {
            ResponseEntity<ProblemDetail> told = problem(p);
            return ResponseEntity.status(told.getStatusCode()).body(told.getBody());
        }
        if (e.getCause() instanceof UnrecognizedPropertyException unknown) {
            return ResponseEntity.badRequest().body(unknown(unknown));
        }
        Throwable cause = e.getMostSpecificCause();
        String why = "What was sent is not the JSON this address expects.";
        if (e.getCause() instanceof ValueInstantiationException && cause instanceof NullPointerException) {
            // the value's own words about what is missing are about its code
            why = "Something that belongs here was left out.";
        } else if (e.getCause() instanceof ValueInstantiationException && cause.getMessage() != null) {
            why = cause.getMessage();
        }
        ProblemDetail detail = detail(HttpStatus.BAD_REQUEST, "unreadable", why);
        detail.setProperty("place", e.getCause() instanceof JsonMappingException j ? path(j) : "");
        return ResponseEntity.badRequest().body(detail);
    }

    /** A misspelt property would be lost in silence, and with it what somebody meant. */
    private static ProblemDetail unknown(UnrecognizedPropertyException e) {
        Collection<Object> known = e.getKnownPropertyIds();
        String instead = known == null || known.isEmpty()
                ? ""
                : " It knows " + known.stream().map(String::valueOf).sorted().collect(Collectors.joining(", ")) + ".";
        ProblemDetail detail = detail(
                HttpStatus.BAD_REQUEST,
                "unknown-property",
                "'" + shortened(e.getPropertyName()) + "' is nothing this address knows." + instead);
        detail.setProperty("place", path(e));
        return detail;
    }

    private static String shortened(String name) {
        return name.length() <= LONGEST_TOLD ? name : name.substring(0, LONGEST_TOLD) + "…";
    }

    private static String path(JsonMappingException e) {
        return e.getPath().stream()
                .map(r -> r.getFieldName() == null ? String.valueOf(r.getIndex()) : r.getFieldName())
                .collect(Collectors.joining("."));
    }

    @Override
    protected ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return ResponseEntity.status(HttpStatus.PAYLOAD_TOO_LARGE)
                .body(detail(HttpStatus.PAYLOAD_TOO_LARGE, "file-large", "The file is larger than 64 MB."));
    }

    /** The framework's own words are about itself; ours are about what was asked. */
    @Override
    protected ResponseEntity<Object> handleExceptionInternal(
            Exception e, Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        if (status.is5xxServerError()) {
            LOG.error("A request failed", e);
        }
        return super.handleExceptionInternal(e, plain(status), headers, status, request);
    }
}
