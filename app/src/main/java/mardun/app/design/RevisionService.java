package mardun.app.design;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.design.RevisionUse.Learnt;
import mardun.app.design.RevisionUse.Made;
import mardun.app.design.RevisionViews.BroughtBack;
import mardun.app.design.RevisionViews.RevisionComparison;
import mardun.app.design.RevisionViews.RevisionLine;
import mardun.app.design.RevisionViews.RevisionNote;
import mardun.app.design.RevisionViews.RevisionNoted;
import mardun.app.design.RevisionViews.RevisionsView;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.note.NoteService;
import mardun.app.note.NoteViews.NoteView;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.RefusedException;
import mardun.app.problem.TypedText;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.estimate.MeasuredEach;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The past of a design: what each change changed, what was made with it, and one of them brought back. */
@Service
class RevisionService {

    private static final int COUNTED = 5_000;

    private final DesignService designs;
    private final DesignRevisionRepository revisions;
    private final MaterialService materials;
    private final List<RevisionUse> uses;
    private final NoteService notes;
    private final SettingsService settings;
    private final JsonMapper json;
    private final Clock clock;

    private final Cache<AtRevision, Integer> changesOf =
            Caffeine.newBuilder().maximumSize(COUNTED).build();

    RevisionService(
            DesignService designs,
            DesignRevisionRepository revisions,
            MaterialService materials,
            List<RevisionUse> uses,
            NoteService notes,
            SettingsService settings,
            JsonMapper json,
            Clock clock) {
        this.designs = designs;
        this.revisions = revisions;
        this.materials = materials;
        this.uses = uses;
        this.notes = notes;
        this.settings = settings;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public RevisionsView all(DesignId id) {
        long version = designs.version(id);
        Map<Integer, Made> made = uses.stream()
                .flatMap(use -> use.madeWith(id).entrySet().stream())
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        Map<Integer, Learnt> learnt = uses.stream()
                .flatMap(use -> use.learntWith(id).entrySet().stream())
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        List<NoteService.Noted> noted = notes.ofDesign(id);
        ViewWriter writer = settings.current().writer();
        List<DesignRevision> found = revisions.findByDesignIdOrderByNumberDesc(id);
        List<RevisionLine> lines = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
            DesignRevision revision = found.get(i);
            Made its = made.getOrDefault(revision.number(), Made.NOTHING);
            Learnt atTheBench = learnt.getOrDefault(revision.number(), Learnt.NOTHING);
            Instant from = revision.madeAt();
            Instant until = i == 0 ? Instant.MAX : found.get(i - 1).madeAt();
            lines.add(new RevisionLine(
                    revision.number(),
                    revision.version(),
                    LocalDate.ofInstant(revision.madeAt(), clock.getZone()),
                    revision.note(),
                    its.batches(),
                    its.bags(),
                    its.lost(),
                    i + 1 < found.size() ? changes(found.get(i + 1), revision) : null,
                    atTheBench.each().map(each -> writer.time(each.each())).orElse(null),
                    atTheBench.each().map(MeasuredEach::steps).orElse(0),
                    atTheBench.slips(),
                    atTheBench.reason(),
                    noted.stream()
                            .filter(note ->
                                    !note.at().isBefore(from) && note.at().isBefore(until))
                            .map(note -> noted(note.note()))
                            .toList()));
        }
        return new RevisionsView(id, version, lines);
    }

    private static RevisionNoted noted(NoteView note) {
        String about = switch (note.pin().about()) {
            case STEP -> note.pin().stepName();
            case PIECE -> note.pin().letter();
            case DESIGN, MATERIAL, MACHINE -> "";
        };
        return new RevisionNoted(note.on(), about, note.text());
    }

    private record AtRevision(DesignId id, int number) {}

    /** How many things a revision changed; neither of the two that are compared ever changes, so it is counted once. */
    private int changes(DesignRevision before, DesignRevision after) {
        return changesOf.get(
                new AtRevision(after.designId(), after.number()),
                counted -> DocumentComparison.of(read(before), read(after), json, material -> "material " + material)
                        .size());
    }

    private DesignDocument read(DesignRevision revision) {
        return json.readValue(revision.document(), DesignDocument.class);
    }

    /** What is different in one revision than in another. */
    @Transactional(readOnly = true)
    public RevisionComparison compare(DesignId id, int from, int to) {
        DesignDocument before = designs.revision(id, from).document();
        DesignDocument after = designs.revision(id, to).document();
        Map<Long, String> names = materials.names(materials(before, after)).entrySet().stream()
                .collect(Collectors.toMap(entry -> entry.getKey().value(), Map.Entry::getValue));
        return new RevisionComparison(
                from,
                to,
                DocumentComparison.of(
                        before, after, json, material -> names.getOrDefault(material, "a material that is gone")),
                before,
                after);
    }

    private static Set<MaterialId> materials(DesignDocument... documents) {
        Set<MaterialId> all = new HashSet<>();
        for (DesignDocument document : documents) {
            document.slots().stream()
                    .filter(slot -> slot.materialId() != null)
                    .forEach(slot -> all.add(slot.materialId()));
            document.steps().forEach(step -> step.details().threads().forEach(all::add));
        }
        return all;
    }

    /** The maker says something of a revision. */
    @Transactional
    public RevisionsView note(DesignId id, int number, RevisionNote form) {
        DesignRevision revision = revisions
                .findByDesignIdAndNumber(id, number)
                .orElseThrow(() -> RefusedException.missing("There is no revision " + number + " of this design."));
        ChangedMeanwhileException.check("The note of revision " + number, form.version(), revision.version());
        revision.note(TypedText.clean(form.note()).strip());
        revisions.saveAndFlush(revision);
        return all(id);
    }

    /** A design becomes once more what it was, under the name that it has now; that makes a new revision. */
    @Transactional
    public RevisionsView bringBack(DesignId id, int number, BroughtBack form) {
        DesignDocument old = designs.revision(id, number).document();
        designs.becomes(id, form.version(), old, materials.names(materials(old)).keySet());
        RevisionsView now = all(id);
        RevisionLine latest = now.revisions().get(0);
        return latest.note().isEmpty() && latest.number() > number
                ? note(id, latest.number(), new RevisionNote(latest.version(), "As it was in revision " + number + "."))
                : now;
    }
}
