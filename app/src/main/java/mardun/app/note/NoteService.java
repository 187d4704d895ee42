package mardun.app.note;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.note.NoteViews.NoteForm;
import mardun.app.note.NoteViews.NoteView;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.show.SearchWords;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a maker wants to be told when a step, a piece, a design, a material or a machine comes up again. */
@Service
public class NoteService {

    private static final int MOST_SHOWN = 500;

    private final NoteRepository notes;
    private final Clock clock;

    NoteService(NoteRepository notes, Clock clock) {
        this.notes = notes;
        this.clock = clock;
    }

    /** Keeps a note that was written; sent twice, once. */
    @Transactional
    public void write(NoteForm form) {
        FieldReader fields = new FieldReader();
        if (form.text().isBlank()) {
            fields.refuse("text", form.text(), "A note says something. Type what you want to be told next time.");
        }
        fields.check();
        if (!form.pin().isWhole()) {
            throw RefusedException.conflict("This note doesn't say what it is pinned to. Choose that once more.");
        }
        pin(form.id(), form.pin(), form.batchId(), form.text());
    }

    /** Keeps a note with an id that was made elsewhere; one that is there stays as it is. */
    @Transactional
    public void pin(UUID id, NotePin pin, @Nullable BatchId batchId, String text) {
        if (pin.isWhole() && !text.isBlank() && !notes.existsById(id)) {
            notes.save(new Note(id, pin, batchId, text.strip(), clock.instant()));
        }
    }

    /** A note, put away or not. */
    @Transactional(readOnly = true)
    public NoteView find(UUID id) {
        return notes.findById(id)
                .map(NoteService::view)
                .orElseThrow(() -> RefusedException.missing("There is no such note, or no longer."));
    }

    /** A note has had its day, or comes back after all. */
    @Transactional
    public void putAway(UUID id, boolean away) {
        notes.findById(id)
                .orElseThrow(() -> RefusedException.missing("There is no such note, or no longer."))
                .putAway(away ? clock.instant() : null);
    }

    /** The notes about some designs and materials, and about all machines, that aren't put away; the newest first. */
    @Transactional(readOnly = true)
    public List<NoteView> about(Collection<DesignId> designs, Collection<MaterialId> materials) {
        // A query can't look for one of none.
        return notes
                .about(
                        designs.isEmpty() ? Set.of(new DesignId(0)) : designs,
                        materials.isEmpty() ? Set.of(new MaterialId(0)) : materials)
                .stream()
                .map(NoteService::view)
                .toList();
    }

    /** All notes, those that stand before those that were put away. */
    @Transactional(readOnly = true)
    public List<NoteView> all() {
        return notes.all(Limit.of(MOST_SHOWN)).stream().map(NoteService::view).toList();
    }

    /** A note with the moment in which it was written. */
    public record Noted(NoteView note, Instant at) {}

    /** What was noted about a design, its steps and its pieces, put away or not, the first one first. */
    @Transactional(readOnly = true)
    public List<Noted> ofDesign(DesignId design) {
        return notes.findByDesignIdOrderByNotedAt(design).stream()
                .map(note -> new Noted(view(note), note.notedAt()))
                .toList();
    }

    /** What was noted before a moment, the newest first. */
    @Transactional(readOnly = true)
    public List<Noted> before(Instant until, int most) {
        return notes.findByNotedAtLessThanOrderByNotedAtDesc(until, Limit.of(most)).stream()
                .map(note -> new Noted(view(note), note.notedAt()))
                .toList();
    }

    /** The same as far as what is looked for is found in them. */
    @Transactional(readOnly = true)
    public List<Noted> found(Instant until, String query, int most) {
        return notes.found(until, SearchWords.like(query), Limit.of(most)).stream()
                .map(note -> new Noted(view(note), note.notedAt()))
                .toList();
    }

    private static NoteView view(Note note) {
        return new NoteView(
                note.id(),
                note.pin(),
                note.batchId().orElse(null),
                note.text(),
                note.notedAt().atZone(ZoneId.systemDefault()).toLocalDate(),
                note.isPutAway());
    }
}
