package app.leeward.server.api;

import app.leeward.server.studio.Problem;
import app.leeward.server.studio.StoredImages;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Pictures made of pixels, by their hash: what was fetched once need never be asked for again. */
@RestController
@Tag(name = "images")
class ImageApi {
    private final StoredImages images;

    ImageApi(StoredImages images) {
        this.images = images;
    }

    @GetMapping(value = "/api/v1/images/{hash}.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> png(@PathVariable String hash) {
        byte[] png = images.find(hash).orElseThrow(() -> Problem.notThere("picture"));
        return ResponseEntity.ok()
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).immutable().cachePublic())
                .body(png);
    }
}
