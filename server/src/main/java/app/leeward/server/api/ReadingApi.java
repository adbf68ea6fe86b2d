package app.leeward.server.api;

import app.leeward.server.studio.LineReadings;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.util.WebUtils;

/** Recordings being put to words: how far they are, and an end to them. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "readings")
class ReadingApi {
    private final LineReadings readings;

    ReadingApi(LineReadings readings) {
        this.readings = readings;
    }

    /** Those of a character that have not ended, oldest first; also scripts and lines of them until they are dismissed. */
    @GetMapping("/characters/{id}/readings")
    List<ReadingView> unfinished(@PathVariable UUID id) {
        return readings.unfinished(id).stream().map(ReadingView::of).toList();
    }

    /** One reading; ended ones are told for an hour. */
    @GetMapping("/readings/{id}")
    ReadingView reading(@PathVariable UUID id) {
        return ReadingView.of(readings.told(id));
    }

    /** Ends a reading; nothing of it stays. One that has ended already stays as it is. */
    @PostMapping("/readings/{id}/cancel")
    ReadingView cancel(@PathVariable UUID id) {
        return ReadingView.of(readings.cancel(id));
    }

    /** Tells no more about one that has ended, nor, of a script, about its lines. */
    @PostMapping("/readings/{id}/dismiss")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void dismiss(@PathVariable UUID id) {
        readings.dismiss(id);
    }

    /** Browsers are told apart by the token they write with, which says nothing about people. */
    static LineReadings.Client client(HttpServletRequest request) {
        Cookie token = WebUtils.getCookie(request, "XSRF-TOKEN");
        String browser =
                token == null ? "" : Integer.toHexString(token.getValue().hashCode());
        return new LineReadings.Client(CharacterApi.AUTHOR, request.getRemoteAddr(), browser);
    }
}
