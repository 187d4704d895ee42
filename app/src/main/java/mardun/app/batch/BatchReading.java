package mardun.app.batch;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.BatchRow;
import mardun.app.batch.BatchViews.BatchSheet;
import mardun.app.batch.BatchViews.BatchView;
import mardun.app.batch.BatchViews.BroughtForm;
import mardun.app.batch.BatchViews.ClothState;
import mardun.app.batch.BatchViews.LineView;
import mardun.app.batch.BatchViews.OpenBatches;
import mardun.app.batch.BatchViews.Pick;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.batch.Shortages.Shortage;
import mardun.app.design.DesignCosts;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.design.StandingPhotos;
import mardun.app.design.TicketView;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.log.BenchLog;
import mardun.app.log.SlipOutcome;
import mardun.app.material.MaterialService;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.ChosenBatch;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.SearchWords;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.FindingView;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.app.unsewn.UnsewnShelf;
import mardun.core.design.Finding;
import mardun.core.design.Licences;
import mardun.core.design.Source;
import mardun.core.material.Amount;
import mardun.core.material.Part;
import mardun.core.pricing.UnitPricing;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Batches as they are shown: one with its plan, lists of them, and what they still take together. */
@Service
public class BatchReading {

    /** Of a material that is no longer there. */
    static final String GREY = "#9fb0b0";

    private static final int DONE_KEPT = 2_000;

    private static final Set<BatchStage> OPEN = EnumSet.of(BatchStage.PLANNED, BatchStage.CUTTING, BatchStage.CUT);

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchEntry entry;
    private final BatchPlans plans;
    private final UnsewnShelf unsewn;
    private final DesignService designs;
    private final StandingPhotos photos;
    private final PlannedDesigns plannedDesigns;
    private final Threads threads;
    private final BenchLog log;
    private final MaterialService materials;
    private final SettingsService settings;
    private final Clock clock;
    private final Changes changes;

    private final Remembered<String, Open> opens;
    private final Remembered<String, Map<MaterialId, Amount>> needed;
    private final Cache<DoneAsOf, BatchRow> doneRows =
            Caffeine.newBuilder().maximumSize(DONE_KEPT).build();

    BatchReading(
            BatchRepository repository,
            Batches batches,
            BatchEntry entry,
            BatchPlans plans,
            UnsewnShelf unsewn,
            DesignService designs,
            StandingPhotos photos,
            PlannedDesigns plannedDesigns,
            Threads threads,
            BenchLog log,
            MaterialService materials,
            SettingsService settings,
            Clock clock,
            Changes changes) {
        this.repository = repository;
        this.batches = batches;
        this.entry = entry;
        this.plans = plans;
        this.unsewn = unsewn;
        this.designs = designs;
        this.photos = photos;
        this.plannedDesigns = plannedDesigns;
        this.threads = threads;
        this.log = log;
        this.materials = materials;
        this.settings = settings;
        this.clock = clock;
        this.changes = changes;
        this.opens = Remembered.exceptOf(changes, DesignCosts.NO_COST_FOLLOWS);
        this.needed = Remembered.exceptOf(changes, DesignCosts.NO_COST_FOLLOWS);
    }

    public boolean hasAny() {
        return repository.count() > 0;
    }

    /**
     * A page of the batches, the newest first.
     *
     * @param stage empty for all
     * @param query words of what they are for, of their designs or their number; empty for all
     * @param designId empty for all designs
     * @param forWhat the fair or the order that they are for, in just these words; empty for all
     */
    @Transactional(readOnly = true)
    public PageView<BatchRow> list(
            Optional<BatchList> stage, String query, Optional<DesignId> designId, String forWhat, int page, int size) {
        Set<BatchStage> stages = stage.map(BatchReading::stages).orElse(EnumSet.allOf(BatchStage.class));
        PageRequest part = PageRequest.of(page, Math.min(size, PageView.LARGEST));
        Page<Batch> found = query.isBlank() && designId.isEmpty() && forWhat.isBlank()
                ? repository.findByStageInOrderByIdDesc(stages, part)
                : repository.search(
                        stages,
                        SearchWords.like(query),
                        designsNamed(query),
                        designId.orElse(null),
                        forWhat.strip(),
                        part);
        Settings current = settings.current();
        Map<Batch, BatchRow> rows = known(found.getContent());
        List<Batch> others =
                found.stream().filter(batch -> !rows.containsKey(batch)).toList();
        planned(others, current).forEach((batch, planned) -> {
            BatchRow row = row(batch, planned, current);
            rows.put(batch, row);
            if (batch.stage() == BatchStage.FINISHED) {
                doneRows.put(asOf(batch), row);
            }
        });
        return PageView.of(found, rows::get);
    }

    /** The rows that are known already: of finished batches, and of open ones as long as nothing was stored. */
    private Map<Batch, BatchRow> known(List<Batch> found) {
        Map<BatchId, BatchRow> open =
                found.stream().anyMatch(batch -> batch.stage().isOpen())
                        ? open().shown().lines().stream().collect(Collectors.toMap(BatchRow::id, Function.identity()))
                        : Map.of();
        Map<Batch, BatchRow> rows = new HashMap<>();
        found.forEach(batch -> Optional.ofNullable(
                        batch.stage().isOpen() ? open.get(batch.id()) : doneRows.getIfPresent(asOf(batch)))
                .ifPresent(row -> rows.put(batch, row)));
        return rows;
    }

    /** A batch that is finished never changes; only its materials may be called otherwise, and figures be written in other units. */
    private record DoneAsOf(BatchId id, long version, long materials, long settings) {}

    private DoneAsOf asOf(Batch batch) {
        return new DoneAsOf(batch.id(), batch.version(), changes.countOf("material"), changes.countOf("settings"));
    }

    /** Which batches a list shows. */
    public enum BatchList {
        OPEN,
        PLANNED,
        CUT,
        FINISHED
    }

    private static Set<BatchStage> stages(BatchList list) {
        return switch (list) {
            case OPEN -> OPEN;
            case PLANNED -> EnumSet.of(BatchStage.PLANNED);
            case CUT -> EnumSet.of(BatchStage.CUTTING, BatchStage.CUT);
            case FINISHED -> EnumSet.of(BatchStage.FINISHED, BatchStage.DROPPED);
        };
    }

    private List<DesignId> designsNamed(String query) {
        String words = query.strip().toLowerCase(Locale.ROOT);
        List<DesignId> named = designs.names().stream()
                .filter(design -> !words.isEmpty()
                        && design.name().toLowerCase(Locale.ROOT).contains(words))
                .map(DesignName::id)
                .toList();
        return named.isEmpty() ? List.of(new DesignId(0)) : named;
    }

    /**
     * The batches that are planned or under way, those due first first.
     *
     * @param works what is still to be done of each
     * @param shown as they are shown, in the same order, with what they still need together
     */
    public record Open(List<OpenWork> works, OpenBatches shown) {}

    /** What is still to be done of each batch that is planned or under way, those due first first. */
    @Transactional(readOnly = true)
    public List<OpenWork> openWork() {
        return open().works();
    }

    private List<OpenWork> works(Map<Batch, Planned> open) {
        Threads.Shelf shelf = threads.shelf();
        Map<Batch, Planned> atWork = new LinkedHashMap<>(open);
        atWork.keySet().removeIf(Batch::isPaused);
        List<Shortage> shortages = Shortages.among(atWork);
        return open.entrySet().stream()
                .map(one -> work(one.getKey(), one.getValue(), shortages, shelf))
                .toList();
    }

    /** One batch's work. */
    OpenWork work(Batch batch, Planned planned) {
        return work(batch, planned, Shortages.among(Map.of(batch, planned)), threads.shelf());
    }

    private static OpenWork work(Batch batch, Planned planned, List<Shortage> shortages, Threads.Shelf shelf) {
        boolean isOneSize = planned.lines().size() == 1;
        return new OpenWork(
                batch.id(),
                batch.version(),
                names(planned.lines(), line -> line.design().name())
                        + (isOneSize ? " " + planned.first().sizeWords() : ""),
                batch.stage(),
                batch.isPaused(),
                batch.comesFirst(),
                batch.dueOn(),
                batch.forWhat(),
                OpenWork.Bags.of(planned),
                planned.stillToDo(batch.stage().isToCut()),
                planned.isBegun(),
                shelf.matching(planned, batch.orderWishes()),
                shelf.names(),
                batch.orderWishes(),
                Shortages.missing(batch.id(), shortages));
    }

    /** The open batches, to be laid on days and to be shown. */
    @Transactional(readOnly = true)
    public Open open() {
        return opens.get("all", all -> workOutOpen());
    }

    private Open workOutOpen() {
        Settings current = settings.current();
        Map<Batch, Planned> open = openByDueDay(current);
        List<BatchRow> rows = open.entrySet().stream()
                .map(one -> row(one.getKey(), one.getValue(), current))
                .toList();
        OpenBatches shown = new OpenBatches(rows, new Shortages(current.writer(), materials).of(open));
        return new Open(works(open), shown);
    }

    /** The open batches with their plans, those due first first, and those that are put aside last. */
    private Map<Batch, Planned> openByDueDay(Settings current) {
        List<Batch> open = repository.findByStageInOrderByIdAsc(OPEN).stream()
                .sorted(Comparator.comparing(Batch::isPaused)
                        .thenComparing(batch -> batch.dueOn().orElse(LocalDate.MAX)))
                .toList();
        return planned(open, current);
    }

    private Map<Batch, Planned> planned(List<Batch> all, Settings current) {
        Map<Batch, ChosenBatch> chosen = new LinkedHashMap<>();
        all.forEach(batch -> chosen.put(batch, batches.chosen(batch)));
        Map<ChosenBatch, Planned> planned = plans.of(chosen.values(), current);
        Map<Batch, Planned> byBatch = new LinkedHashMap<>();
        chosen.forEach((batch, its) -> byBatch.put(batch, planned.get(its)));
        return byBatch;
    }

    @Transactional(readOnly = true)
    public BatchView get(BatchId id) {
        Settings current = settings.current();
        Batch batch = batches.find(id);
        Planned planned = plans.of(batches.chosen(batch), current);
        Map<MaterialId, String> colours = colours(planned);
        ViewWriter writer = current.writer();
        Map<Integer, Integer> putBy = unsewn.bagsOf(id);
        Map<Integer, Integer> seconds = log.slips(id).stream()
                .filter(slip -> slip.outcome() == SlipOutcome.SECOND)
                .collect(Collectors.groupingBy(BenchLog.Slip::line, Collectors.summingInt(BenchLog.Slip::bags)));
        Set<String> toCut = planned.toCome().stream()
                .filter(need -> need.supply().kind().leavesWhenCut())
                .map(need -> need.supply().key())
                .collect(Collectors.toSet());
        return new BatchView(
                batch.id(),
                batch.version(),
                batch.stage(),
                batch.isPaused(),
                batch.dueOn().orElse(null),
                batch.forWhat(),
                planned.lines().stream()
                        .map(line -> line(
                                line,
                                seconds.getOrDefault(line.number(), 0),
                                putBy.getOrDefault(line.number(), 0),
                                writer))
                        .toList(),
                batch.offcuts(),
                planned.supplies().stream()
                        .filter(supply -> supply.kind().isCloth())
                        .map(supply -> new ClothState(
                                MaterialId.valueOf(supply.key()),
                                supply.name(),
                                colours.getOrDefault(MaterialId.valueOf(supply.key()), GREY),
                                !toCut.contains(supply.key())))
                        .toList(),
                batch.partedFrom().orElse(null),
                batch.stage() == BatchStage.PLANNED ? plannedDesigns.changed(planned) : List.of(),
                sheet(planned, !batch.stage().isOpen(), colours, current));
    }

    private static LineView line(PlannedLine line, int secondsAtBench, int putBy, ViewWriter writer) {
        int stillSeconds = Math.max(0, secondsAtBench - line.chosen().seconds());
        return new LineView(
                line.number(),
                line.chosen().designId(),
                line.chosen().revision(),
                line.design().name(),
                line.sizeName(),
                line.chosen().wanted(),
                line.chosen().started(),
                line.chosen().materials().entrySet().stream()
                        .map(slot -> new SlotChoice(slot.getKey(), slot.getValue()))
                        .toList(),
                line.chosen()
                        .ownPriceMinor()
                        .map(minor -> writer.money(minor).amount())
                        .orElse(""),
                line.chosen().good(),
                line.chosen().seconds(),
                line.chosen().scrap(),
                line.chosen().open(),
                Math.min(line.chosen().open(), stillSeconds),
                putBy,
                line.chosen().brought().entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(one -> new BroughtForm(one.getKey(), one.getValue()))
                        .toList(),
                line.plannedCost().map(writer::money).orElse(null),
                line.chosen().picks().entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(one -> new Pick(one.getKey(), one.getValue()))
                        .toList(),
                line.picked());
    }

    /** What follows from a batch that is being planned, whatever state its form is in. */
    @Transactional(readOnly = true)
    public BatchSheet preview(BatchForm form) {
        Settings current = settings.current();
        Planned planned = entry.preview(form, current);
        return sheet(planned, false, colours(planned), current);
    }

    /** The ticket of one line of a batch. */
    @Transactional(readOnly = true)
    public TicketView ticket(BatchId id, int number) {
        Settings current = settings.current();
        Planned planned = plans.of(batches.chosen(batches.find(id)), current);
        return planned.lines().stream()
                .filter(line -> line.number() == number)
                .findFirst()
                .flatMap(line -> ticket(planned, line, current))
                .orElseThrow(BatchReading::noTicket);
    }

    /**
     * The ticket of one line of a batch that is being planned.
     *
     * @param line which of the form's lines, from 0
     */
    @Transactional(readOnly = true)
    public TicketView previewTicket(BatchForm form, int line) {
        Settings current = settings.current();
        Planned planned = entry.preview(form, current);
        if (line >= planned.lines().size()) {
            throw noTicket();
        }
        return ticket(planned, planned.lines().get(line), current).orElseThrow(BatchReading::noTicket);
    }

    private static Optional<TicketView> ticket(Planned planned, PlannedLine line, Settings current) {
        return new BatchSheetWriter(current.writer(), planned.workroom(), bag -> Optional.empty())
                .ticket(planned, line);
    }

    private static RefusedException noTicket() {
        return RefusedException.missing("There is no ticket of this line: nothing of it is priced yet.");
    }

    private BatchSheet sheet(Planned planned, boolean finished, Map<MaterialId, String> colours, Settings current) {
        return new BatchSheetWriter(
                        current.writer(),
                        planned.workroom(),
                        photos.of(planned.lines().stream()
                                .map(line -> line.chosen().designId())
                                .toList()))
                .write(planned, finished ? List.of() : licences(planned), colours, current);
    }

    private Map<MaterialId, String> colours(Planned planned) {
        return materials.colours(planned.supplies().stream()
                .map(supply -> MaterialId.valueOf(supply.key()))
                .toList());
    }

    /** What the licences of a batch's patterns say about its bags. */
    @Transactional(readOnly = true)
    public List<FindingView> licences(BatchId id) {
        Settings current = settings.current();
        Batch batch = batches.find(id);
        return batch.stage().isOpen()
                ? licences(plans.of(batches.chosen(batch), current)).stream()
                        .map(current.writer()::finding)
                        .toList()
                : List.of();
    }

    /** What the licences of the patterns say about these units, with those of the designs' other batches. */
    private List<Finding> licences(Planned planned) {
        Map<DesignId, List<PlannedLine>> byDesign = planned.lines().stream()
                .collect(Collectors.groupingBy(
                        line -> line.chosen().designId(), LinkedHashMap::new, Collectors.toList()));
        List<Finding> licences = new ArrayList<>();
        byDesign.forEach((designId, its) -> Licences.look(
                        its.get(0).design().source(),
                        repository.unitsOfDesign(
                                designId,
                                planned.batchId() == null
                                        ? 0
                                        : planned.batchId().value(),
                                countsSince(its.get(0).design().source())),
                        its.stream().mapToInt(line -> line.chosen().started()).sum())
                .ifPresent(licences::add));
        return licences;
    }

    /** How many bags of a design were made or planned, as its licence counts them: ever, or this year. */
    @Transactional(readOnly = true)
    public long licensedUnitsOf(DesignId designId, Source source) {
        return repository.unitsOfDesign(designId, 0, countsSince(source));
    }

    private Instant countsSince(Source source) {
        return source.licence().isByYear()
                ? LocalDate.now(clock)
                        .withDayOfYear(1)
                        .atStartOfDay(clock.getZone())
                        .toInstant()
                : Instant.EPOCH;
    }

    /** What all open batches together still need of each material, by its id; of two-part notions, in sets. */
    @Transactional(readOnly = true)
    public Map<MaterialId, Amount> stillNeeded() {
        return needed.get("all", all -> workOutNeeded());
    }

    private Map<MaterialId, Amount> workOutNeeded() {
        Map<MaterialId, Map<Part, Amount>> byPart = new LinkedHashMap<>();
        planned(repository.findByStageInOrderByIdAsc(OPEN), settings.current())
                .values()
                .forEach(planned -> planned.toCome()
                        .forEach(need -> byPart.computeIfAbsent(
                                        MaterialId.valueOf(need.supply().key()), id -> new EnumMap<>(Part.class))
                                .merge(need.part(), need.wanted(), Amount::together)));
        Map<MaterialId, Amount> needed = new LinkedHashMap<>();
        byPart.forEach((id, parts) -> needed.put(
                id, parts.values().stream().max(Comparator.naturalOrder()).orElseThrow()));
        return needed;
    }

    private BatchRow row(Batch batch, Planned planned, Settings current) {
        ViewWriter writer = current.writer();
        List<PlannedLine> lines = planned.lines();
        boolean one = lines.size() == 1;
        return new BatchRow(
                batch.id(),
                names(lines, line -> line.design().name()),
                one ? lines.get(0).sizeName() : "",
                lines.size(),
                planned.plan().units(),
                batch.stage(),
                batch.isPaused(),
                batch.dueOn().orElse(null),
                batch.forWhat(),
                cloths(planned),
                lines.stream()
                        .mapToInt(line -> line.chosen().good() + line.chosen().seconds())
                        .sum(),
                batch.finishedAt().orElse(null),
                planned.isShort(),
                writer.time(left(batch, planned)),
                one ? lines.get(0).cost().map(writer::money).orElse(null) : null,
                planned.plan().cost().map(writer::money).orElse(null),
                one
                        ? lines.get(0)
                                .plan()
                                .pricing()
                                .map(UnitPricing::price)
                                .map(writer::money)
                                .orElse(null)
                        : null,
                planned.plan().perHour().map(writer::money).orElse(null));
    }

    private static String names(List<PlannedLine> lines, Function<PlannedLine, String> name) {
        List<String> names = lines.stream().map(name).distinct().toList();
        return names.size() < 3
                ? String.join(" and ", names)
                : names.get(0) + ", " + names.get(1) + " and " + (names.size() - 2) + " more";
    }

    private static String cloths(Planned planned) {
        List<String> names = planned.lines().stream()
                .map(line -> OuterCloth.of(planned, line).name())
                .filter(name -> !name.isEmpty())
                .distinct()
                .toList();
        return names.size() > 2 ? names.size() + " cloths" : String.join(", ", names);
    }

    /** Hands-on time still to come: all of it, or what follows the cutting, for the bags that aren't done. */
    private static Duration left(Batch batch, Planned planned) {
        if (!batch.stage().isOpen()) {
            return Duration.ZERO;
        }
        return planned.stillToDo(batch.stage().isToCut()).time();
    }
}
