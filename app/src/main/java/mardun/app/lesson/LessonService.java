package mardun.app.lesson;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignDocument.PromptRow;
import mardun.app.design.DesignService;
import mardun.app.id.DesignId;
import mardun.app.lesson.LessonViews.LessonView;
import mardun.app.lesson.LessonViews.MeasureOffer;
import mardun.app.lesson.LessonViews.StepOffer;
import mardun.app.lesson.LessonViews.TakeForm;
import mardun.app.note.NoteService;
import mardun.app.note.NoteViews.NoteView;
import mardun.app.problem.RefusedException;
import mardun.core.design.Design;
import mardun.core.design.Lesson;
import mardun.core.design.Measurement;
import mardun.core.making.Prompt;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A note becomes a change of its design: another measure, or a check at a step; then it has had its day. */
@Service
class LessonService {

    private final NoteService notes;
    private final DesignService designs;

    LessonService(NoteService notes, DesignService designs) {
        this.notes = notes;
        this.designs = designs;
    }

    @Transactional(readOnly = true)
    LessonView of(UUID noteId) {
        NoteView note = notes.find(noteId);
        DesignId id = design(note);
        DesignDocument document = designs.document(id);
        Design design = DesignService.stored(document);
        Lesson.Offers offers = Lesson.of(note.text(), document.measurements(), design.steps());
        List<StepOffer> steps = new ArrayList<>();
        design.steps().stream()
                .filter(step -> step.key().equals(note.pin().step()))
                .forEach(step -> steps.add(new StepOffer(step.key(), step.name())));
        offers.steps().stream()
                .filter(step -> !step.step().equals(note.pin().step()))
                .forEach(step -> steps.add(new StepOffer(step.step(), step.name())));
        return new LessonView(
                id,
                document.name(),
                offers.measures().stream()
                        .map(one -> new MeasureOffer(
                                one.symbol(),
                                one.label(),
                                one.size(),
                                isForAll(document, one.symbol())
                                        ? ""
                                        : document.sizes().get(one.size()),
                                one.now(),
                                one.then()))
                        .toList(),
                steps);
    }

    private static boolean isForAll(DesignDocument document, String symbol) {
        return document.measurements().stream()
                .anyMatch(one -> one.symbol().equals(symbol) && one.values().size() == 1);
    }

    private static DesignId design(NoteView note) {
        if (note.pin().designId() == null) {
            throw RefusedException.conflict("This note isn't about a design, so there is nothing of one to change.");
        }
        return note.pin().designId();
    }

    /** The note becomes a change of its design, and is put away. */
    @Transactional
    void take(UUID noteId, TakeForm form) {
        NoteView note = notes.find(noteId);
        designs.change(
                design(note),
                document -> form.symbol() != null
                        ? measured(document, form.symbol(), form.size(), form.then())
                        : checking(document, form.step() == null ? "" : form.step(), note.text()));
        notes.putAway(noteId, true);
    }

    private static DesignDocument measured(DesignDocument document, String symbol, int size, String then) {
        boolean isThere = document.measurements().stream()
                .anyMatch(one ->
                        one.symbol().equals(symbol) && size < one.values().size());
        if (!isThere) {
            throw RefusedException.missing("The design has no such measurement any more.");
        }
        return document.measured(document.measurements().stream()
                .map(one -> one.symbol().equals(symbol) ? with(one, size, then) : one)
                .toList());
    }

    private static Measurement with(Measurement measurement, int size, String then) {
        List<String> values = new ArrayList<>(measurement.values());
        values.set(size, then);
        return new Measurement(
                measurement.symbol(), measurement.label(), measurement.kind(), values, measurement.options());
    }

    private static DesignDocument checking(DesignDocument document, String key, String text) {
        if (document.steps().stream().noneMatch(step -> step.key().equals(key))) {
            throw RefusedException.missing("The design has no such step any more.");
        }
        return document.withSteps(document.steps().stream()
                .map(step -> step.key().equals(key)
                        ? step.showing(new PromptRow(Prompt.Kind.BEFORE, text, "", "", false, "", ""))
                        : step)
                .toList());
    }
}
