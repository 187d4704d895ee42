package mardun.app.note;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.note.NoteViews.NoteForm;
import mardun.app.note.NoteViews.NoteView;
import mardun.app.note.NoteViews.PutAwayForm;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/notes")
@Tag(name = "notes")
class NoteController {

    private final NoteService notes;

    NoteController(NoteService notes) {
        this.notes = notes;
    }

    /** All notes, those that stand before those that were put away. */
    @GetMapping
    List<NoteView> listNotes() {
        return notes.all();
    }

    /** The notes about some designs and materials, and about all machines, that aren't put away. */
    @GetMapping("/about")
    List<NoteView> listNotesAbout(
            @RequestParam(defaultValue = "") List<DesignId> design,
            @RequestParam(defaultValue = "") List<MaterialId> material) {
        return notes.about(design, material);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void writeNote(@RequestBody @Valid NoteForm form) {
        notes.write(form);
    }

    @PutMapping("/{id}/put-away")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putNoteAway(@PathVariable UUID id, @RequestBody @Valid PutAwayForm form) {
        notes.putAway(id, form.putAway());
    }
}
