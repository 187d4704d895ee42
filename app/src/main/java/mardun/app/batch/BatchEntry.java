package mardun.app.batch;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import mardun.app.batch.Batch.Entered;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.LineForm;
import mardun.app.batch.BatchViews.Pick;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.ChosenBatch;
import mardun.app.plan.ChosenLine;
import mardun.app.plan.Planned;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.batch.PiecesMoved;
import mardun.core.design.OpenChoice;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Batches as they are typed: begun, changed, given up again. */
@Service
public class BatchEntry {

    /** No line is of more bags, and no batch. */
    public static final int MOST_UNITS = 5000;

    private final BatchRepository repository;
    private final Batches batches;
    private final DesignService designs;
    private final BatchPlans plans;
    private final BatchHolds holds;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    BatchEntry(
            BatchRepository repository,
            Batches batches,
            DesignService designs,
            BatchPlans plans,
            BatchHolds holds,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.repository = repository;
        this.batches = batches;
        this.designs = designs;
        this.plans = plans;
        this.holds = holds;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** Keeps a plan; sent twice, once. Answers its number. */
    public BatchId create(BatchForm form) {
        return new BatchId(onceOnly.make(form.requestId(), "batch", form, () -> {
            Batch batch = new Batch(clock.instant());
            batch.enter(readComplete(form, batch));
            BatchId made = repository.saveAndFlush(batch).id();
            holds.followPieces(batch);
            return made.value();
        }));
    }

    /** Changes a planned batch; of one that is cut only its prices, its day and what it is for. */
    @Transactional
    public void change(BatchId id, BatchForm form) {
        Batch batch = batches.forChange(id, form.version());
        switch (batch.stage()) {
            case PLANNED -> {
                batch.enter(readComplete(form, batch));
                repository.saveAndFlush(batch);
                holds.follow(batch);
                holds.followPieces(batch);
            }
            case CUTTING, CUT -> {
                FieldReader fields = new FieldReader();
                Map<Integer, Optional<Long>> prices = new LinkedHashMap<>();
                for (int i = 0; i < form.lines().size(); i++) {
                    LineForm line = form.lines().get(i);
                    if (line.number() != null) {
                        prices.put(
                                line.number(),
                                ownPrice(line.ownPrice(), "lines." + i + ".ownPrice", fields, settings.current()));
                    }
                }
                fields.check();
                batch.wantedFor(
                        Optional.ofNullable(form.dueOn()), form.forWhat().strip());
                prices.forEach(batch::rePrice);
            }
            case FINISHED, DROPPED ->
                throw RefusedException.conflict(
                        "This batch is finished; it stays as it is, so that its figures can be trusted.");
        }
        repository.saveAndFlush(batch);
    }

    /** What a batch is for is called otherwise, whatever stage it is in; inside the caller's transaction. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void rename(BatchId id, String forWhat) {
        Batch batch = batches.forChange(id);
        batch.wantedFor(batch.dueOn(), forWhat);
        repository.saveAndFlush(batch);
    }

    /** All batches that are for something of one name are for that by another; inside the caller's transaction. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void rename(String forWhat, String to) {
        repository.idsFor(forWhat).forEach(id -> rename(new BatchId(id), to));
    }

    /** The plan of a batch that is being typed, whatever state its form is in. */
    @Transactional(readOnly = true)
    public Planned preview(BatchForm form, Settings current) {
        FieldReader fields = new FieldReader();
        List<ChosenLine> lines = lines(form, null, fields, current);
        fields.check();
        return plans.of(new ChosenBatch(form.batchId(), lines, offcuts(form), Optional.empty(), false), current);
    }

    private Entered readComplete(BatchForm form, Batch batch) {
        Settings current = settings.current();
        FieldReader fields = new FieldReader();
        List<ChosenLine> lines = lines(form, batch, fields, current);
        fields.check();
        Planned planned =
                plans.of(new ChosenBatch(form.batchId(), lines, offcuts(form), Optional.empty(), false), current);
        BatchRefusals.refuseIncomplete(planned, current);
        return new Entered(
                lines, Optional.ofNullable(form.dueOn()), form.forWhat().strip(), offcuts(form));
    }

    /** The lines as they were typed; one without a number gets one that none has. */
    private List<ChosenLine> lines(BatchForm form, @Nullable Batch batch, FieldReader fields, Settings current) {
        int free = Math.max(
                batch == null ? 1 : batch.freeNumber(),
                form.lines().stream()
                                .filter(line -> line.number() != null)
                                .mapToInt(LineForm::number)
                                .max()
                                .orElse(0)
                        + 1);
        List<ChosenLine> lines = new ArrayList<>();
        Map<DesignId, Integer> revisions = revisions(form, batch);
        Map<DesignId, DesignDocument> documents = new HashMap<>();
        for (int i = 0; i < form.lines().size(); i++) {
            LineForm line = form.lines().get(i);
            int number = line.number() == null ? free++ : line.number();
            refuseOtherDesign(batch, number, line);
            DesignDocument document = documents.computeIfAbsent(
                    line.designId(),
                    id -> designs.revision(id, revisions.get(id)).document());
            String place = form.lines().size() == 1 ? "" : "lines." + i + ".";
            lines.add(line(line, revisions.get(line.designId()), document, number, place, fields, current));
        }
        boolean twice = lines.stream().map(ChosenLine::number).distinct().count() < lines.size();
        if (twice) {
            throw RefusedException.conflict("Two lines have the same number. Open the batch anew.");
        }
        checkTogether(lines, fields);
        return lines;
    }

    /**
     * With which of its revisions each design is planned: what the lines say, or what the batch is planned with already, or else the
     * newest. All lines of a design are of one, since they are cut and sewn together.
     */
    private Map<DesignId, Integer> revisions(BatchForm form, @Nullable Batch batch) {
        Map<DesignId, Integer> revisions = new HashMap<>();
        for (LineForm line : form.lines()) {
            if (line.revision() != null) {
                Integer other = revisions.putIfAbsent(line.designId(), line.revision());
                if (other != null && !other.equals(line.revision())) {
                    throw RefusedException.conflict("The lines of “"
                            + designs.latest(line.designId()).name() + "” are planned with two states of the design, "
                            + other + " and " + line.revision() + ". Open the batch anew.");
                }
            }
        }
        if (batch != null) {
            batch.lines().forEach(line -> revisions.putIfAbsent(line.designId(), line.designRevision()));
        }
        form.lines()
                .forEach(line -> revisions.computeIfAbsent(
                        line.designId(), id -> designs.latest(id).revision()));
        return revisions;
    }

    /** A line that is stored stays what it is of: a layout and finished bags may refer to it. */
    private void refuseOtherDesign(@Nullable Batch batch, int number, LineForm typed) {
        if (batch == null) {
            return;
        }
        batch.line(number)
                .filter(stored -> !stored.designId().equals(typed.designId()))
                .ifPresent(stored -> {
                    throw RefusedException.conflict("Line " + number + " of this batch is of another design, “"
                            + designs.document(stored.designId()).name()
                            + "”, and stays so. Take it out and add a line of this one.");
                });
    }

    private static void checkTogether(List<ChosenLine> lines, FieldReader fields) {
        int together = lines.stream().mapToInt(ChosenLine::started).sum();
        if (lines.size() > 1 && together > MOST_UNITS) {
            fields.refuse(
                    "lines",
                    Integer.toString(together),
                    "All lines together are " + together + " bags; a batch has at most " + MOST_UNITS
                            + ". Plan the others as a batch of their own.");
        }
    }

    /**
     * A line as it was typed.
     *
     * @param place where its fields are, in front of their names; empty for the only line, whose fields go by their names alone
     */
    private static ChosenLine line(
            LineForm form,
            int revision,
            DesignDocument document,
            int number,
            String place,
            FieldReader fields,
            Settings current) {
        int wanted = fields.count(place + "units", form.units(), 1, MOST_UNITS);
        String typed = form.started() == null ? "" : form.started().strip();
        int started = typed.isEmpty() ? wanted : fields.count(place + "started", typed, 1, MOST_UNITS);
        if (started < wanted) {
            fields.refuse(
                    place + "started",
                    typed,
                    wanted + " are wanted, and only " + started + " would be started. Start at least as many.");
        }
        if (!document.sizes().contains(form.sizeName())) {
            fields.refuse(
                    place + "sizeName",
                    form.sizeName(),
                    "“" + document.name() + "” has no size “" + form.sizeName() + "”; it has "
                            + String.join(", ", document.sizes()) + ".");
        }
        Map<String, MaterialId> materials = new LinkedHashMap<>();
        form.materials().forEach(choice -> materials.put(choice.slot(), choice.materialId()));
        return new ChosenLine(
                number,
                form.designId(),
                revision,
                document.sizes().contains(form.sizeName()) ? document.sizeKey(form.sizeName()) : null,
                form.sizeName(),
                wanted,
                Math.max(wanted, started),
                picks(form, document, place, fields),
                materials,
                ownPrice(form.ownPrice(), place + "ownPrice", fields, current),
                0,
                0,
                0,
                brought(form),
                PiecesMoved.NONE);
    }

    /** What was chosen otherwise than usual. */
    private static Map<String, String> picks(LineForm form, DesignDocument document, String place, FieldReader fields) {
        Map<String, String> picks = Pick.byChoice(form.picks());
        picks.forEach((key, alternative) -> {
            boolean isThere = document.leftOpen().stream()
                    .filter(choice -> choice.key().equals(key))
                    .flatMap(choice -> choice.alternatives().stream())
                    .anyMatch(one -> one.key().equals(alternative));
            if (!isThere) {
                fields.refuse(
                        place + "picks",
                        alternative,
                        "“" + document.name() + "” leaves nothing open that could be chosen so, or no longer. Choose"
                                + " again.");
            }
        });
        return OpenChoice.unusual(document.leftOpen(), picks);
    }

    /** For how many bags cut pieces are taken; none that is chosen twice counts twice. */
    private static Map<MaterialId, Integer> brought(LineForm form) {
        Map<MaterialId, Integer> brought = new LinkedHashMap<>();
        if (form.brought() != null) {
            form.brought().forEach(one -> brought.put(one.materialId(), one.bags()));
        }
        return brought;
    }

    private static Optional<Long> ownPrice(String typed, String field, FieldReader fields, Settings current) {
        return typed.isBlank()
                ? Optional.empty()
                : Optional.of(current.money(fields.money(field, typed, current.currency())))
                        .map(Money::getAmountMinorLong);
    }

    private static List<LotId> offcuts(BatchForm form) {
        return form.offcuts() == null ? List.of() : form.offcuts();
    }

    /** The form with another material in a slot of a line, and without the offcuts that were chosen. */
    static BatchForm with(BatchForm form, int line, SlotChoice other) {
        List<LineForm> lines = IntStream.range(0, form.lines().size())
                .mapToObj(i -> i == line
                        ? with(form.lines().get(i), other)
                        : form.lines().get(i))
                .toList();
        return new BatchForm(
                form.requestId(), form.version(), form.batchId(), lines, form.dueOn(), form.forWhat(), List.of());
    }

    private static LineForm with(LineForm line, SlotChoice other) {
        List<SlotChoice> choices = new ArrayList<>(line.materials().stream()
                .filter(choice -> !choice.slot().equals(other.slot()))
                .toList());
        choices.add(other);
        return new LineForm(
                line.number(),
                line.designId(),
                line.revision(),
                line.sizeName(),
                line.units(),
                line.started(),
                choices,
                "",
                line.brought(),
                line.picks());
    }
}
