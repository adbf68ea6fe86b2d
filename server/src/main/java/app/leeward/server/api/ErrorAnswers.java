package app.leeward.server.api;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.web.servlet.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What failed before it came to any of our addresses, told in the form of all other problems. */
@RestController
@Hidden
class ErrorAnswers implements ErrorController {
    @RequestMapping("/error")
    ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        // asked for by its address there is nothing to tell
        HttpStatus known = status instanceof Integer code ? HttpStatus.resolve(code) : HttpStatus.NOT_FOUND;
        HttpStatus told = known == null ? HttpStatus.INTERNAL_SERVER_ERROR : known;
        return ResponseEntity.status(told)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(ProblemAdvice.plain(told));
    }
}
