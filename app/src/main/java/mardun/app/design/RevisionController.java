package mardun.app.design;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import mardun.app.design.DesignViews.RevisionView;
import mardun.app.design.RevisionViews.BroughtBack;
import mardun.app.design.RevisionViews.RevisionComparison;
import mardun.app.design.RevisionViews.RevisionNote;
import mardun.app.design.RevisionViews.RevisionsView;
import mardun.app.id.DesignId;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The past of designs. */
@RestController
@RequestMapping("/api/designs/{id}/revisions")
@Tag(name = "designs")
class RevisionController {

    private final RevisionService revisions;
    private final DesignService designs;

    RevisionController(RevisionService revisions, DesignService designs) {
        this.revisions = revisions;
        this.designs = designs;
    }

    @GetMapping
    RevisionsView listDesignRevisions(@PathVariable DesignId id) {
        return revisions.all(id);
    }

    /** What a design was after one of its changes. */
    @GetMapping("/{number}")
    RevisionView readDesignRevision(@PathVariable DesignId id, @PathVariable int number) {
        return designs.revision(id, number);
    }

    /** What is different in a revision than in an earlier one. */
    @GetMapping("/{from}/to/{to}")
    RevisionComparison compareDesignRevisions(@PathVariable DesignId id, @PathVariable int from, @PathVariable int to) {
        return revisions.compare(id, from, to);
    }

    @PutMapping("/{number}/note")
    RevisionsView noteDesignRevision(
            @PathVariable DesignId id, @PathVariable int number, @RequestBody @Valid RevisionNote form) {
        return revisions.note(id, number, form);
    }

    /** The design becomes what it was then. */
    @PostMapping("/{number}/brought-back")
    RevisionsView bringBackDesignRevision(
            @PathVariable DesignId id, @PathVariable int number, @RequestBody @Valid BroughtBack form) {
        return revisions.bringBack(id, number, form);
    }
}
