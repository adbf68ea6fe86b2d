package app.leeward.server.api;

import app.leeward.core.intake.BlankFace;
import app.leeward.formats.svg.LayeredSvgWriter;
import app.leeward.server.studio.HeavyWork;
import app.leeward.server.studio.Templates;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a designer begins with, and heads that are finished. */
@RestController
@Tag(name = "template")
class TemplateApi {
    private final Templates templates;
    private final HeavyWork heavy;

    TemplateApi(Templates templates, HeavyWork heavy) {
        this.templates = templates;
        this.heavy = heavy;
    }

    /**
     * A finished head.
     *
     * @param message what it is
     */
    public record TemplateView(String id, String name, String message) {}

    @GetMapping("/api/v1/templates")
    List<TemplateView> all() {
        return Arrays.stream(Templates.Head.values())
                .map(h -> new TemplateView(h.name(), h.title(), h.message()))
                .toList();
    }

    /** A new character from a finished head. */
    @PostMapping("/api/v1/templates/{template}")
    @ResponseStatus(HttpStatus.CREATED)
    CharacterApi.CharacterView begin(@PathVariable String template) {
        UUID id = UUID.randomUUID();
        return CharacterApi.CharacterView.of(heavy.done(() -> templates.begin(id, template, CharacterApi.AUTHOR)));
    }

    private static final String BLANK =
            LayeredSvgWriter.write("Blank face", BlankFace.SAYS, BlankFace.CANVAS, BlankFace.layers(), hash -> {
                throw new IllegalStateException("the blank holds no pictures");
            });

    /** A layer for every slot and every mouth, named as they are recognised. */
    @GetMapping(path = "/api/v1/blank-face.svg", produces = "image/svg+xml")
    ResponseEntity<String> blank() {
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("image/svg+xml"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"blank-face.svg\"")
                .body(BLANK);
    }
}
