package mardun.app.licence;

import io.swagger.v3.oas.annotations.tags.Tag;
import mardun.app.id.DesignId;
import mardun.app.licence.LicenceCount.LicenceView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
@Tag(name = "designs")
class LicenceController {

    private final LicenceCount count;

    LicenceController(LicenceCount count) {
        this.count = count;
    }

    /** How many bags count against a design's licence. */
    @GetMapping("/api/designs/{id}/licence")
    LicenceView readLicence(@PathVariable DesignId id) {
        return count.of(id);
    }
}
