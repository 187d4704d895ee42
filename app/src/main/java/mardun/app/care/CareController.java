package mardun.app.care;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import mardun.app.care.CareViews.PartPlace;
import mardun.app.care.CareViews.ShippedParts;
import mardun.app.door.AtTheMachine;
import mardun.app.problem.RefusedException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** The application itself: what it is made of, and what it says when somebody helps. */
@RestController
@RequestMapping("/api")
@Tag(name = "care")
class CareController {

    private final Parts parts;
    private final Path data;

    CareController(Parts parts, @Value("${mardun.data}") Path data) {
        this.parts = parts;
        this.data = data;
    }

    @GetMapping("/parts")
    ShippedParts readParts() throws IOException {
        return parts.shipped();
    }

    /** The list of one place, in CycloneDX: {@code server} or {@code page}. */
    @GetMapping("/parts/{place}.cdx.json")
    ResponseEntity<Resource> readPartsList(@PathVariable String place) {
        for (PartPlace one : PartPlace.values()) {
            if (one.name().toLowerCase(Locale.ROOT).equals(place)) {
                return ResponseEntity.ok()
                        .contentType(MediaType.APPLICATION_JSON)
                        .header(
                                HttpHeaders.CONTENT_DISPOSITION,
                                "attachment; filename=\"mardun-" + place + ".cdx.json\"")
                        .body(Parts.list(one));
            }
        }
        throw RefusedException.missing("There are two such lists: server and page.");
    }

    /** What was logged, as one text to send to whoever helps. */
    @GetMapping(path = "/log.txt", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<StreamingResponseBody> readLog(HttpServletRequest request) {
        AtTheMachine.check(request);
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"mardun-log.txt\"")
                .body(out -> {
                    for (Path file : LogFile.files(data)) {
                        Files.copy(file, out);
                    }
                });
    }
}
