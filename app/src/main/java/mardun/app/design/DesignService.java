package mardun.app.design;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mardun.app.channel.PricePlace;
import mardun.app.channel.SetPrices;
import mardun.app.design.DesignDocument.PieceRow;
import mardun.app.design.DesignViews.AlternativeView;
import mardun.app.design.DesignViews.ArrangedSizes;
import mardun.app.design.DesignViews.BagPartView;
import mardun.app.design.DesignViews.ChangedDesign;
import mardun.app.design.DesignViews.DesignLine;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.design.DesignViews.DesignSheet;
import mardun.app.design.DesignViews.DesignView;
import mardun.app.design.DesignViews.DrawnSteps;
import mardun.app.design.DesignViews.FormMeasureView;
import mardun.app.design.DesignViews.FormView;
import mardun.app.design.DesignViews.LatestRevision;
import mardun.app.design.DesignViews.NewDesign;
import mardun.app.design.DesignViews.NewSize;
import mardun.app.design.DesignViews.NumberedDesign;
import mardun.app.design.DesignViews.PacedDesign;
import mardun.app.design.DesignViews.PreviewedDesign;
import mardun.app.design.DesignViews.RenamedPart;
import mardun.app.design.DesignViews.RevisionView;
import mardun.app.design.DesignViews.SetUpWords;
import mardun.app.design.DesignViews.SizeName;
import mardun.app.design.DesignViews.SizeSheet;
import mardun.app.design.DesignViews.SlotMaterials;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.log.Estimates;
import mardun.app.log.Estimates.StepEstimate;
import mardun.app.material.MaterialService;
import mardun.app.material.ShelfMaterial;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Shelves;
import mardun.app.material.UsesMaterials;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.request.PutAway;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.FindingView;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.batch.BatchLine;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlan.LinePlan;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.Supply;
import mardun.core.design.BagParts;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.OpenChoice;
import mardun.core.design.SizedDesign;
import mardun.core.design.Sizing;
import mardun.core.design.SlotFit;
import mardun.core.design.Source;
import mardun.core.design.TrimNeed;
import mardun.core.making.Pace;
import mardun.core.making.SetUp;
import mardun.core.making.Step;
import mardun.core.picture.BagPainter;
import mardun.core.picture.SeamPicture;
import mardun.core.pricing.UnitPricing;
import org.joda.money.Money;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Designs: what can be made, and all that follows from their measurements. */
@Service
public class DesignService implements UsesMaterials {

    private static final int LONGEST_WORDS = 4000;
    private static final int REVISIONS_KEPT = 600;

    private record AtRevision(DesignId id, int number) {}

    private record ReadRevision(RevisionView view, Design design) {}

    private record Picked(AtRevision revision, Map<String, String> picks) {}

    /**
     * A design as it is made for some bags.
     *
     * @param document with nothing left open
     * @param picked what was chosen otherwise than usual, as it is read; empty for nothing
     */
    public record MadeDesign(DesignDocument document, Design design, String picked) {}

    /** Revisions never change, so what was read once is known; ids aren't given twice. */
    private static final BigDecimal SLOWEST = new BigDecimal("0.02");

    private static final BigDecimal FASTEST = BigDecimal.valueOf(3600);

    /** Nothing was ever logged of a design that isn't stored. */
    private static final DesignId NOT_STORED = new DesignId(0);

    private final Cache<AtRevision, ReadRevision> readBefore =
            Caffeine.newBuilder().maximumSize(REVISIONS_KEPT).build();

    private final Cache<Picked, MadeDesign> pickedBefore =
            Caffeine.newBuilder().maximumSize(REVISIONS_KEPT).build();

    private final DesignRepository designs;
    private final DesignRevisionRepository revisions;
    private final StockShelves shelves;
    private final MaterialService materials;
    private final SettingsService settings;
    private final SetPrices prices;
    private final BatchPlanner planner;
    private final Estimates estimates;
    private final Patterns patterns;
    private final StandingPhotos standing;
    private final AlternativeSheets alternatives;
    private final OnceOnly onceOnly;
    private final JsonMapper json;
    private final Clock clock;

    private final Remembered<Listed, PageView<DesignLine>> lists;
    private final Remembered<DesignId, DesignView> views;
    private final Remembered<DesignId, LatestRevision> latest;

    DesignService(
            DesignRepository designs,
            DesignRevisionRepository revisions,
            StockShelves shelves,
            MaterialService materials,
            SettingsService settings,
            SetPrices prices,
            BatchPlanner planner,
            Estimates estimates,
            Patterns patterns,
            StandingPhotos standing,
            AlternativeSheets alternatives,
            OnceOnly onceOnly,
            JsonMapper json,
            Changes changes,
            Clock clock) {
        this.lists = Remembered.exceptOf(changes, DesignCosts.NO_COST_FOLLOWS);
        this.views = Remembered.exceptOf(changes, DesignCosts.NO_COST_FOLLOWS);
        this.latest = new Remembered<>(changes, "design");
        this.designs = designs;
        this.revisions = revisions;
        this.shelves = shelves;
        this.materials = materials;
        this.settings = settings;
        this.prices = prices;
        this.planner = planner;
        this.estimates = estimates;
        this.patterns = patterns;
        this.standing = standing;
        this.alternatives = alternatives;
        this.onceOnly = onceOnly;
        this.json = json;
        this.clock = clock;
    }

    public boolean hasAny() {
        return designs.count() > 0;
    }

    /** The designs that are put away, or those that aren't, in whose name, sort, designer or pieces the text stands. */
    @Transactional(readOnly = true)
    public PageView<DesignLine> list(String search, boolean putAway, int page, int size) {
        Listed asked = new Listed(search, putAway, page, size);
        // What is searched has no end of ways; the lists themselves are few.
        return search.isBlank() ? lists.get(asked, this::listed) : listed(asked);
    }

    /** A page of the list. */
    private record Listed(String search, boolean putAway, int page, int size) {}

    private PageView<DesignLine> listed(Listed list) {
        Settings current = settings.current();
        Page<DesignEntity> found = designs.find(
                list.search().strip().toLowerCase(Locale.ROOT),
                list.putAway(),
                PageRequest.of(list.page(), Math.min(list.size(), PageView.LARGEST)));
        Map<DesignId, DesignDocument> documents =
                found.stream().collect(Collectors.toMap(DesignEntity::id, this::document));
        Shelves read = shelves.read(documents.values().stream()
                .flatMap(document -> materialsOf(document).stream())
                .distinct()
                .toList());
        Asked asked = asked(documents.keySet(), current);
        Map<DesignId, String> photos = standing.ofDesigns(documents.keySet());
        return PageView.of(
                found,
                entity -> line(
                        entity,
                        documents.get(entity.id()),
                        read,
                        asked,
                        Optional.ofNullable(photos.get(entity.id())),
                        current));
    }

    /** The designs that aren't put away by their names, to choose from. */
    @Transactional(readOnly = true)
    public List<DesignName> names() {
        return designs.names();
    }

    /** The sizes of the designs that are in use, by the names of these. */
    @Transactional(readOnly = true)
    public List<SizeName> sizes() {
        return designs.findAll().stream()
                .filter(entity -> !entity.isPutAway())
                .map(this::sizesOf)
                .flatMap(List::stream)
                .sorted(Comparator.comparing(SizeName::name, String.CASE_INSENSITIVE_ORDER))
                .toList();
    }

    private List<SizeName> sizesOf(DesignEntity entity) {
        DesignDocument document = document(entity);
        boolean isOnly = document.sizes().size() == 1;
        return document.sizes().stream()
                .map(size -> new SizeName(
                        entity.id(), document.sizeKey(size), isOnly ? document.name() : document.name() + ", " + size))
                .toList();
    }

    /** What was on the machine in the steps of all designs, to pick from. */
    @Transactional(readOnly = true)
    public SetUpWords setUpWords() {
        List<SetUp> setUps = designs.findAll().stream()
                .flatMap(entity -> document(entity).steps().stream())
                .map(DesignDocument.StepRow::setUp)
                .toList();
        return new SetUpWords(
                used(setUps, SetUp.Part.NEEDLE),
                used(setUps, SetUp.Part.THREAD),
                used(setUps, SetUp.Part.FOOT),
                used(setUps, SetUp.Part.STITCH),
                used(setUps, SetUp.Part.BOBBIN),
                used(setUps, SetUp.Part.LENGTH),
                used(setUps, SetUp.Part.WIDTH),
                used(setUps, SetUp.Part.POSITION),
                used(setUps, SetUp.Part.TENSION),
                used(setUps, SetUp.Part.HEAT));
    }

    private static List<String> used(List<SetUp> setUps, SetUp.Part part) {
        return SetUp.used(setUps.stream().map(part::of).toList());
    }

    public List<FormView> forms() {
        return Arrays.stream(FormKind.values())
                .map(kind -> new FormView(
                        kind,
                        kind.words(),
                        kind.other(),
                        kind.measures().stream()
                                .map(m -> new FormMeasureView(m.key(), m.label()))
                                .toList()))
                .toList();
    }

    @Transactional(readOnly = true)
    public DesignView get(DesignId id) {
        return views.get(id, this::asItIs);
    }

    private DesignView asItIs(DesignId id) {
        DesignEntity entity = find(id);
        DesignDocument document = document(entity);
        return new DesignView(
                id,
                entity.version(),
                entity.revision(),
                entity.isPutAway(),
                document,
                sheet(document, Optional.of(id)));
    }

    /**
     * What a design was after one of its changes.
     *
     * @throws RefusedException if it has no such revision
     */
    @Transactional(readOnly = true)
    public RevisionView revision(DesignId id, int number) {
        return readBefore.get(new AtRevision(id, number), this::read).view();
    }

    /**
     * The same as the core reckons with it.
     *
     * @throws RefusedException if it has no such revision
     */
    @Transactional(readOnly = true)
    public Design design(DesignId id, int number) {
        return readBefore.get(new AtRevision(id, number), this::read).design();
    }

    /**
     * The same with what was chosen for some bags.
     *
     * @param picks keys of alternatives by the keys of their choices; the usual ones where nothing is said
     * @throws RefusedException if it has no such revision
     */
    @Transactional(readOnly = true)
    public MadeDesign made(DesignId id, int number, Map<String, String> picks) {
        return pickedBefore.get(new Picked(new AtRevision(id, number), Map.copyOf(picks)), asked -> {
            ReadRevision revision = readBefore.get(asked.revision(), this::read);
            DesignDocument whole = revision.view().document();
            DesignDocument made = whole.chosen(asked.picks());
            boolean isUsual =
                    OpenChoice.unusual(whole.leftOpen(), asked.picks()).isEmpty();
            return new MadeDesign(
                    made, isUsual ? revision.design() : stored(made), DocumentChoices.words(whole, asked.picks()));
        });
    }

    /**
     * A design as it is now, with some alternatives of its choices taken.
     *
     * @param alternatives their keys; of every other choice the usual one is taken
     */
    @Transactional(readOnly = true)
    public MadeDesign madeNow(DesignId id, List<String> alternatives) {
        int revision = latest(id).revision();
        return made(
                id, revision, OpenChoice.picks(revision(id, revision).document().leftOpen(), alternatives));
    }

    /** Whose design it is, as it is now. */
    @Transactional(readOnly = true)
    public Source source(DesignId id) {
        return design(id, latest(id).revision()).source();
    }

    /** How often designs were changed, by their ids. */
    @Transactional(readOnly = true)
    public Map<DesignId, Integer> revisions(Collection<DesignId> ids) {
        return designs.numbered(ids.stream().map(DesignId::value).toList()).stream()
                .collect(Collectors.toMap(one -> new DesignId(one.id()), NumberedDesign::revision));
    }

    /** Whose designs they are, as they are now. */
    @Transactional(readOnly = true)
    public Map<DesignId, Source> sources(Collection<DesignId> ids) {
        return revisions(ids).entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        one -> design(one.getKey(), one.getValue()).source()));
    }

    private ReadRevision read(AtRevision asked) {
        DesignRevision revision = revisions
                .findByDesignIdAndNumber(asked.id(), asked.number())
                .orElseThrow(
                        () -> RefusedException.missing("“" + find(asked.id()).name() + "” has no revision "
                                + asked.number() + ". Plan with the design as it is now."));
        DesignDocument document = read(revision.document());
        return new ReadRevision(
                new RevisionView(asked.id(), asked.number(), revision.madeAt(), document), stored(document));
    }

    /** How far a design is. */
    @Transactional(readOnly = true)
    public LatestRevision latest(DesignId id) {
        return latest.get(id, its -> {
            DesignEntity entity = find(its);
            return new LatestRevision(entity.name(), entity.revision(), entity.changedAt());
        });
    }

    /** The stored document of a design. */
    @Transactional(readOnly = true)
    public DesignDocument document(DesignId id) {
        return document(find(id));
    }

    /** Begins a design: a copy of another, or from a pattern that ships with the application, with the maker's usual seam. */
    public DesignView begin(NewDesign form) {
        long made = onceOnly.make(form.requestId(), "design", form, () -> {
            FieldReader fields = new FieldReader();
            String name = fields.text("name", form.name(), 120);
            refuseTakenName(fields, name, Optional.empty());
            fields.check();
            DesignDocument document = form.copyOf() == null
                    ? patterns.begin(form.pattern() == null ? Patterns.POUCH : form.pattern(), settings.current())
                    : document(form.copyOf());
            return store(new DesignEntity(clock.instant()), document.named(name))
                    .value();
        });
        return get(new DesignId(made));
    }

    /** A design with a size copied and changed; nothing is stored. */
    @Transactional(readOnly = true)
    public DesignDocument withSize(NewSize form) {
        FieldReader fields = new FieldReader();
        DocumentLimits.check(form.document(), fields);
        fields.check();
        return SizeCopy.of(form, settings.current().unitSystem());
    }

    /** A design in which a piece, a measurement or a size is called otherwise; nothing is stored. */
    @Transactional(readOnly = true)
    public DesignDocument renamed(RenamedPart form) {
        FieldReader fields = new FieldReader();
        DocumentLimits.check(form.document(), fields);
        fields.check();
        return Renaming.of(form, fields);
    }

    /** A design with its sizes in another order, or without some of them; nothing is stored. */
    @Transactional(readOnly = true)
    public DesignDocument arranged(ArrangedSizes form) {
        FieldReader fields = new FieldReader();
        DocumentLimits.check(form.document(), fields);
        fields.check();
        return SizeCopy.arranged(form.document(), form.order(), fields);
    }

    /** Stores a whole design as new. */
    @Transactional
    public DesignId store(DesignDocument document) {
        checkLimits(document);
        FieldReader fields = new FieldReader();
        DocumentChoices.checkNamed(document, fields);
        fields.check();
        return store(new DesignEntity(clock.instant()), checked(document, Optional.empty()));
    }

    @Transactional
    public DesignView change(DesignId id, ChangedDesign form) {
        DesignEntity entity = find(id);
        ChangedMeanwhileException.check("“" + entity.name() + "”", form.version(), entity.version());
        store(entity, checked(form.document(), Optional.of(id)));
        return get(id);
    }

    /** Changes a design inside the caller's transaction, for another area that learnt something about it. */
    @Transactional
    public void change(DesignId id, UnaryOperator<DesignDocument> change) {
        DesignEntity entity = find(id);
        store(entity, checked(change.apply(document(entity)), Optional.of(id)));
    }

    /**
     * A design becomes what it was, under the name that it has now.
     *
     * @param version at which the design was shown
     * @param materials those that there still are; where another filled a slot or a needle, nothing does
     */
    @Transactional
    void becomes(DesignId id, long version, DesignDocument old, Set<MaterialId> materials) {
        DesignEntity entity = find(id);
        ChangedMeanwhileException.check("“" + entity.name() + "”", version, entity.version());
        store(entity, checked(old.named(entity.name()).withMaterialsOf(materials), Optional.of(id)));
    }

    /** The version of a design, for whoever changes it next. */
    @Transactional(readOnly = true)
    long version(DesignId id) {
        return find(id).version();
    }

    /** Puts a design away, or takes it back. */
    @Transactional
    public DesignView putAway(DesignId id, PutAway form) {
        DesignEntity entity = find(id);
        ChangedMeanwhileException.check("“" + entity.name() + "”", form.version(), entity.version());
        entity.putAway(form.putAway());
        designs.flush();
        return get(id);
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> useOfMaterial(MaterialId materialId) {
        return designs.findAll().stream()
                .filter(entity -> uses(document(entity), materialId))
                .findFirst()
                .map(entity -> "The design “" + entity.name() + "”");
    }

    /** Each step of a design that is being edited with its share of so many an hour. */
    public DesignDocument paced(PacedDesign form) {
        FieldReader fields = new FieldReader();
        BigDecimal anHour = fields.decimal("anHour", form.anHour(), SLOWEST, FASTEST);
        if (form.document().steps().isEmpty()) {
            fields.refuse("anHour", form.anHour(), "There are no steps yet to spread it over. Add one first.");
        }
        fields.check();
        DesignDocument document = form.document();
        List<Step> steps = DocumentReader.read(document, new FieldReader()).steps();
        List<Duration> each =
                Pace.spread(Pace.each(anHour), steps.stream().map(Step::perUnit).toList());
        Map<String, Duration> byStep = new HashMap<>();
        IntStream.range(0, each.size()).forEach(i -> byStep.put(steps.get(i).key(), each.get(i)));
        return document.withSteps(document.steps().stream()
                .map(step -> byStep.containsKey(step.key()) ? step.taking(byStep.get(step.key())) : step)
                .toList());
    }

    /** What follows from a design that is being edited, whatever state it is in. */
    @Transactional(readOnly = true)
    public DesignSheet preview(PreviewedDesign form) {
        DesignDocument typed = form.document();
        FieldReader fields = new FieldReader();
        DocumentLimits.check(typed, fields);
        fields.check();
        return sheet(DocumentReader.kept(typed, settings.current().unitSystem()), Optional.ofNullable(form.id()));
    }

    /** What is sewn in each step of a design that is being edited; nothing while it can't be read or has no such size. */
    public List<SeamView> seams(DrawnSteps form) {
        checkLimits(form.document());
        FieldReader fields = new FieldReader();
        Design design = DocumentReader.read(
                DocumentReader.kept(form.document(), settings.current().unitSystem()), fields);
        int size = design.sizes().indexOf(form.size());
        return size < 0 || !fields.problems().isEmpty()
                ? List.of()
                : SeamPicture.of(design, Sizing.of(design, size)).stream()
                        .map(SeamView::of)
                        .toList();
    }

    /** Refuses a document of which something is missing, or that is larger than a design may be. */
    public void checkLimits(DesignDocument typed) {
        FieldReader fields = new FieldReader();
        DocumentLimits.check(typed, fields);
        fields.check();
    }

    /** Whether a material may fill a slot of a design. */
    public static boolean serves(Design design, DesignDocument.SlotRow slot, SlotFit.Candidate candidate) {
        return design.slots().stream()
                .filter(one -> one.key().equals(slot.key()))
                .anyMatch(one -> SlotFit.serves(design, one, candidate));
    }

    /** For each slot of a design that is being edited the materials that may fill it, whatever state the rest of it is in. */
    @Transactional(readOnly = true)
    public List<SlotMaterials> slotMaterials(DesignDocument typed) {
        FieldReader fields = new FieldReader();
        DocumentLimits.check(typed, fields);
        fields.check();
        Design usual = DocumentReader.read(typed, fields);
        List<Design> designs = new ArrayList<>(List.of(usual));
        alternatives
                .others(typed)
                .values()
                .forEach(other -> designs.add(DocumentReader.read(other, new FieldReader())));
        List<ShelfMaterial> all = materials.onShelf();
        return typed.slots().stream()
                .map(slot -> new SlotMaterials(
                        slot.key(),
                        all.stream()
                                .filter(material ->
                                        !material.putAway() || Objects.equals(material.id(), slot.materialId()))
                                .filter(material ->
                                        designs.stream().anyMatch(one -> serves(one, slot, material.candidate())))
                                .map(ShelfMaterial::id)
                                .toList(),
                        usual.slots().stream().anyMatch(one -> one.key().equals(slot.key()))))
                .toList();
    }

    /** The core's design of a document that was stored, so that nothing in it can be unreadable. */
    public static Design stored(DesignDocument document) {
        FieldReader fields = new FieldReader();
        Design design = DocumentReader.read(document, fields);
        fields.check();
        return design;
    }

    private DesignDocument checked(DesignDocument typed, Optional<DesignId> own) {
        Settings current = settings.current();
        FieldReader fields = new FieldReader();
        DocumentLimits.check(typed, fields);
        fields.check();
        DesignDocument document = DocumentReader.kept(typed, current.unitSystem());
        Design design = DocumentReader.read(document, fields);
        refuseTakenName(fields, design.name(), own);
        fields.check();
        refuseWhatCantBeSewn(design, "", fields, current);
        alternatives
                .others(document)
                .forEach((words, other) -> refuseWhatCantBeSewn(stored(other), words + ", ", fields, current));
        fields.check();
        return document;
    }

    /** Refuses what can't be in any of a design's sizes; of a design with another alternative taken it is said with which. */
    private static void refuseWhatCantBeSewn(Design design, String words, FieldReader fields, Settings current) {
        ViewWriter writer = current.writer();
        for (int size = 0; size < design.sizes().size(); size++) {
            SizedDesign sized = Sizing.of(design, size, current.thickestSeam());
            String sizeName = words + sized.size();
            sized.findings().stream().filter(Finding::isRefused).forEach(finding -> {
                FindingView view = writer.finding(finding);
                fields.refuse(view.place(), "", sizeName + ": " + view.sentence());
            });
        }
    }

    private DesignId store(DesignEntity entity, DesignDocument document) {
        Instant now = clock.instant();
        boolean isOther = entity.revision() == 0 || !document(entity).equals(document.keyed());
        entity.enter(document.name(), words(document), json.writeValueAsString(document));
        if (isOther) {
            entity.revise(now);
        }
        DesignEntity saved = designs.saveAndFlush(entity);
        if (isOther) {
            revisions.save(new DesignRevision(saved, now));
        }
        return saved.id();
    }

    private void refuseTakenName(FieldReader fields, String name, Optional<DesignId> own) {
        designs.findByNameIgnoreCase(name)
                .filter(other -> own.filter(other.id()::equals).isEmpty())
                .ifPresent(other -> fields.refuse(
                        "name", name, "There is a design called “" + other.name() + "” already. Type another name."));
    }

    /** The words by which a design is found. */
    private static String words(DesignDocument document) {
        String words = Stream.of(
                        Stream.of(
                                document.name(),
                                document.sort(),
                                document.source().designer()),
                        document.pieces().stream().map(PieceRow::name),
                        document.trims().stream().map(TrimNeed::name))
                .flatMap(Function.identity())
                .distinct()
                .collect(Collectors.joining(" "))
                .toLowerCase(Locale.ROOT);
        return words.substring(0, Math.min(words.length(), LONGEST_WORDS));
    }

    private DesignSheet sheet(DesignDocument document, Optional<DesignId> id) {
        Settings current = settings.current();
        FieldReader fields = new FieldReader();
        Design typed = DocumentReader.read(document, fields);
        Map<String, StepEstimate> known = estimates.of(id.orElse(NOT_STORED), typed.steps());
        Design design = estimates.timed(id.orElse(NOT_STORED), typed);
        List<FindingView> unreadable = fields.problems().stream()
                .map(p -> FindingView.refused(p.field(), p.sentence()))
                .toList();
        boolean rowsFit = fields.problems().stream()
                .map(FieldProblem::field)
                .noneMatch(f -> f.startsWith("measurements.") || f.startsWith("fillings.") || f.startsWith("sizes"));
        SheetWriter writer = new SheetWriter(current.writer(), current.workroom());
        Asked asked = asked(id.stream().toList(), current);
        Shelves materials = shelves.read(materialsOf(document));
        List<Supply> supplies = supplies(document, materials);
        List<SizeSheet> sizes = new ArrayList<>();
        if (rowsFit) {
            for (int size = 0; size < design.sizes().size(); size++) {
                Optional<Money> own = asked.of(id, document, size);
                BatchPlan plan = planner.plan(
                        List.of(BatchLine.only(design, size, document.usualUnits(), supplies, own)),
                        current.workroom());
                SizedDesign sized = plan.lines().get(0).sized();
                Optional<PictureView> picture = picture(design, sized, document, materials);
                List<SeamView> seams =
                        SeamPicture.of(design, sized).stream().map(SeamView::of).toList();
                sizes.add(with(
                        writer.size(plan, document.form().kind(), own.isPresent(), picture),
                        unreadable,
                        unreadable.isEmpty()
                                ? alternatives.of(document, id.orElse(NOT_STORED), size, plan, supplies, current)
                                : List.of()));
            }
        }
        boolean canBeSewn = unreadable.isEmpty()
                && sizes.stream()
                        .flatMap(s -> s.findings().stream())
                        .noneMatch(f -> f.severity() == Finding.Severity.REFUSED);
        return new DesignSheet(
                sizes,
                canBeSewn,
                design.steps().stream()
                        .filter(step -> known.get(step.key()).isMeasured())
                        .map(step -> writer.time(step.key(), known.get(step.key())))
                        .toList(),
                document.slots().stream()
                        .filter(slot -> slot.materialId() != null)
                        .flatMap(slot -> materials
                                .look(slot.materialId())
                                .map(look -> new PictureView.PictureCloth(
                                        slot.key(), look.colour(), look.print(), look.repeatMm()))
                                .stream())
                        .toList(),
                BagParts.of(design).entrySet().stream()
                        .map(part -> BagPartView.of(part.getKey(), part.getValue()))
                        .toList());
    }

    /** The prices that are set for some designs in the usual channel. */
    private Asked asked(Collection<DesignId> designIds, Settings current) {
        ChannelId channel = current.usualChannel().id();
        return new Asked(channel, prices.of(designIds, channel), current);
    }

    private record Asked(ChannelId channel, Map<PricePlace, Long> prices, Settings current) {

        Optional<Money> of(Optional<DesignId> id, DesignDocument document, int size) {
            return id.map(its -> prices.get(new PricePlace(
                            its, document.sizeKey(document.sizes().get(size)), channel)))
                    .map(current::money);
        }
    }

    private static SizeSheet with(SizeSheet sheet, List<FindingView> more, List<AlternativeView> alternatives) {
        List<FindingView> findings = new ArrayList<>(more);
        findings.addAll(sheet.findings());
        return new SizeSheet(
                sheet.size(),
                sheet.measurements(),
                sheet.workedOut(),
                sheet.pieces(),
                sheet.panels(),
                sheet.trims(),
                sheet.notions(),
                sheet.fillings(),
                sheet.corner(),
                sheet.finished(),
                sheet.ticket(),
                sheet.ticketMissing(),
                findings,
                alternatives);
    }

    /** How the bag looks in the materials that the design names; empty while it can't be worked out. */
    private static Optional<PictureView> picture(
            Design design, SizedDesign sized, DesignDocument document, Shelves materials) {
        return BagPainter.paint(design, sized)
                .map(picture -> PictureView.of(
                        picture,
                        slot -> document.slots().stream()
                                .filter(one -> one.key().equals(slot) && one.materialId() != null)
                                .findFirst()
                                .flatMap(one -> materials.look(one.materialId()))));
    }

    /** Whether a material fills a slot of a design, or a step names it as its thread. */
    private static boolean uses(DesignDocument document, MaterialId materialId) {
        return materialsOf(document).contains(materialId)
                || document.steps().stream()
                        .flatMap(step -> step.details().threads())
                        .anyMatch(materialId::equals);
    }

    /** The materials that usually fill a design's slots. */
    static List<MaterialId> materialsOf(DesignDocument document) {
        return document.slots().stream()
                .map(DesignDocument.SlotRow::materialId)
                .filter(Objects::nonNull)
                .distinct()
                .toList();
    }

    /** The same as they lie on the shelf. */
    static List<Supply> supplies(DesignDocument document, Shelves shelves) {
        return supplies(document, shelves, Map.of());
    }

    /** The same with other materials in some slots. */
    static List<Supply> supplies(DesignDocument document, Shelves shelves, Map<String, MaterialId> others) {
        List<Supply> supplies = new ArrayList<>();
        for (DesignDocument.SlotRow slot : document.slots()) {
            MaterialId id = others.getOrDefault(slot.key(), slot.materialId());
            if (id != null) {
                shelves.supply(slot.key(), id, null, List.of()).ifPresent(supplies::add);
            }
        }
        return supplies;
    }

    private DesignLine line(
            DesignEntity entity,
            DesignDocument document,
            Shelves shelves,
            Asked asked,
            Optional<String> photo,
            Settings current) {
        Design design = estimates.timed(entity.id(), stored(document));
        int middle = (design.sizes().size() - 1) / 2 + (design.sizes().size() - 1) % 2;
        LinePlan plan = planner.plan(
                        List.of(BatchLine.only(
                                design,
                                middle,
                                document.usualUnits(),
                                supplies(document, shelves),
                                asked.of(Optional.of(entity.id()), document, middle))),
                        current.workroom())
                .lines()
                .get(0);
        ViewWriter writer = current.writer();
        SheetWriter sheets = new SheetWriter(writer, current.workroom());
        return new DesignLine(
                entity.id(),
                entity.name(),
                document.sort(),
                design.sizes(),
                plan.sized()
                        .finished()
                        .map(finished ->
                                sheets.measures(finished, document.form().kind()))
                        .orElse(List.of()),
                picture(design, plan.sized(), document, shelves).orElse(null),
                photo.orElse(null),
                plan.cost().map(cost -> writer.money(cost.full().value())).orElse(null),
                plan.pricing().map(pricing -> writer.money(pricing.price())).orElse(null),
                plan.pricing()
                        .flatMap(UnitPricing::perHour)
                        .map(perHour -> writer.money(perHour.value()))
                        .orElse(null),
                (int) plan.sized().findings().stream()
                        .filter(f -> f.setAside().isEmpty())
                        .count());
    }

    private DesignDocument document(DesignEntity entity) {
        return read(entity.document());
    }

    private DesignDocument read(String stored) {
        return json.readValue(stored, DesignDocument.class).keyed();
    }

    private DesignEntity find(DesignId id) {
        return designs.findById(id.value())
                .orElseThrow(() -> RefusedException.missing("There is no such design, or no longer."));
    }
}
