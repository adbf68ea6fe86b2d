package app.leeward.server.api;

import app.leeward.core.intake.BlankFace;
import app.leeward.formats.svg.LayeredSvgWriter;
import io.swagger.v3.oas.annotations.tags.Tag;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a designer begins with. */
@RestController
@Tag(name = "template")
class TemplateApi {
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
