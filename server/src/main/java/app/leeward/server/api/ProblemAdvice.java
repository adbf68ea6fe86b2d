package app.leeward.server.api;

import app.leeward.server.studio.Problem;
import com.fasterxml.jackson.databind.exc.ValueInstantiationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Turns whatever goes wrong into a problem document with a sentence and a stable {@code code}. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    @ExceptionHandler
    ProblemDetail problem(Problem e) {
        ProblemDetail detail = detail(e.status(), e.code(), e.getMessage());
        detail.setProperty("place", e.place());
        if (!e.since().isEmpty()) {
            detail.setProperty("since", e.since());
        }
        return detail;
    }

    @ExceptionHandler
    ProblemDetail value(IllegalArgumentException e) {
        return detail(HttpStatus.UNPROCESSABLE_ENTITY, "value", String.valueOf(e.getMessage()));
    }

    @ExceptionHandler
    ProblemDetail fault(RuntimeException e) {
        LOG.error("A request failed", e);
        return detail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "fault",
                "Leeward made a mistake; nothing was changed. The server's log says more.");
    }

    private static ProblemDetail detail(HttpStatusCode status, String code, String says) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, says);
        detail.setProperty("code", code);
        return detail;
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e,
            org.springframework.http.HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        Throwable cause = e.getMostSpecificCause();
        String why = e.getCause() instanceof ValueInstantiationException && cause.getMessage() != null
                ? cause.getMessage()
                : "What was sent is not the JSON this address expects.";
        return ResponseEntity.badRequest().body(detail(HttpStatus.BAD_REQUEST, "unreadable", why));
    }

    @Override
    protected ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException e,
            org.springframework.http.HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        return ResponseEntity.status(HttpStatus.PAYLOAD_TOO_LARGE)
                .body(detail(HttpStatus.PAYLOAD_TOO_LARGE, "file-large", "The file is larger than 64 MB."));
    }

    @Override
    protected ResponseEntity<Object> handleExceptionInternal(
            Exception e,
            Object body,
            org.springframework.http.HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        ProblemDetail detail = body instanceof ProblemDetail d
                ? d
                : ProblemDetail.forStatusAndDetail(status, String.valueOf(e.getMessage()));
        if (detail.getProperties() == null || !detail.getProperties().containsKey("code")) {
            detail.setProperty("code", "http-" + status.value());
        }
        return super.handleExceptionInternal(e, detail, headers, status, request);
    }
}
