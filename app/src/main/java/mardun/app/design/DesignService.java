package mardun.app.design;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.design.DesignDocument.MeasurementRow;
import mardun.app.design.DesignViews.ChangedDesign;
import mardun.app.design.DesignViews.DesignLine;
import mardun.app.design.DesignViews.DesignSheet;
import mardun.app.design.DesignViews.DesignView;
import mardun.app.design.DesignViews.NewDesign;
import mardun.app.design.DesignViews.SizeSheet;
import mardun.app.material.MaterialService;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.FindingView;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.Supply;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.SizedDesign;
import mardun.core.design.Sizing;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.UnitSystem;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Designs: what can be made, and all that follows from their measurements. */
@Service
public class DesignService {

    private static final String POUCH = "/designs/boxed-zip-pouch.json";
    private static final String POUCH_IN_INCHES = "/designs/boxed-zip-pouch-inches.json";
    private static final String SEAM = "seam";

    private final DesignRepository designs;
    private final MaterialService materials;
    private final SettingsService settings;
    private final BatchPlanner planner;
    private final OnceOnly onceOnly;
    private final JsonMapper json;
    private final Clock clock;

    DesignService(
            DesignRepository designs,
            MaterialService materials,
            SettingsService settings,
            BatchPlanner planner,
            OnceOnly onceOnly,
            JsonMapper json,
            Clock clock) {
        this.designs = designs;
        this.materials = materials;
        this.settings = settings;
        this.planner = planner;
        this.onceOnly = onceOnly;
        this.json = json;
        this.clock = clock;
    }

    public boolean hasAny() {
        return designs.count() > 0;
    }

    @Transactional(readOnly = true)
    public PageView<DesignLine> list(int page, int size) {
        Settings current = settings.current();
        return PageView.of(
                designs.findAllByOrderByNameAsc(PageRequest.of(page, Math.min(size, PageView.LARGEST))),
                entity -> line(entity, current));
    }

    @Transactional(readOnly = true)
    public DesignView get(long id) {
        DesignEntity entity = find(id);
        DesignDocument document = document(entity);
        return new DesignView(id, entity.version(), document, sheet(document));
    }

    /** The stored document of a design. */
    @Transactional(readOnly = true)
    public DesignDocument document(long id) {
        return document(find(id));
    }

    /** Begins a design from the pattern of a lined, boxed zip pouch, with the maker's usual seam. */
    public DesignView begin(NewDesign form) {
        return get(onceOnly.make(form.requestId(), () -> {
            FieldReader fields = new FieldReader();
            String name = fields.text("name", form.name(), 120);
            refuseTakenName(fields, name, 0);
            fields.check();
            return store(new DesignEntity(clock.instant()), pattern(name, settings.current()));
        }));
    }

    /** Stores a whole design as new. */
    @Transactional
    public long store(DesignDocument document) {
        return store(new DesignEntity(clock.instant()), checked(document, 0));
    }

    @Transactional
    public DesignView change(long id, ChangedDesign form) {
        DesignEntity entity = find(id);
        ChangedMeanwhileException.check("“" + entity.name() + "”", form.version(), entity.version());
        store(entity, checked(form.document(), id));
        return get(id);
    }

    /** What follows from a design that is being edited, whatever state it is in. */
    @Transactional(readOnly = true)
    public DesignSheet preview(DesignDocument typed) {
        return sheet(DocumentReader.kept(typed, settings.current().unitSystem()));
    }

    /** The core's design of a document that was stored, so that nothing in it can be unreadable. */
    public static Design stored(DesignDocument document) {
        FieldReader fields = new FieldReader();
        Design design = DocumentReader.read(document, fields);
        fields.check();
        return design;
    }

    private DesignDocument checked(DesignDocument typed, long ownId) {
        Settings current = settings.current();
        DesignDocument document = DocumentReader.kept(typed, current.unitSystem());
        FieldReader fields = new FieldReader();
        Design design = DocumentReader.read(document, fields);
        refuseTakenName(fields, design.name(), ownId);
        fields.check();
        ViewWriter writer = current.writer();
        for (int size = 0; size < design.sizes().size(); size++) {
            SizedDesign sized = Sizing.of(design, size);
            String sizeName = sized.size();
            sized.findings().stream().filter(Finding::isRefused).forEach(finding -> {
                FindingView view = writer.finding(finding);
                fields.refuse(view.place(), "", sizeName + ": " + view.sentence());
            });
        }
        fields.check();
        return document;
    }

    private long store(DesignEntity entity, DesignDocument document) {
        entity.enter(document.name(), json.writeValueAsString(document), clock.instant());
        return designs.saveAndFlush(entity).id();
    }

    private void refuseTakenName(FieldReader fields, String name, long ownId) {
        designs.findByNameIgnoreCase(name)
                .filter(other -> other.id() != ownId)
                .ifPresent(other -> fields.refuse(
                        "name", name, "There is a design called “" + other.name() + "” already. Type another name."));
    }

    private <T> T resource(String path, Class<T> type) {
        try (InputStream in = DesignService.class.getResourceAsStream(path)) {
            return json.readValue(in, type);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The pattern that ships with the application, in the maker's units and with the usual seam. */
    private DesignDocument pattern(String name, Settings current) {
        DesignDocument pattern = resource(POUCH, DesignDocument.class);
        Map<?, ?> own = current.unitSystem() == UnitSystem.INCH ? resource(POUCH_IN_INCHES, Map.class) : Map.of();
        String seam = LengthWriter.exactly(current.usualSeam(), current.unitSystem());
        List<MeasurementRow> measurements = pattern.measurements().stream()
                .map(m -> {
                    if (m.symbol().equals(SEAM)) {
                        return new MeasurementRow(m.symbol(), m.label(), m.kind(), List.of(seam));
                    }
                    return own.get(m.symbol()) instanceof List<?> values
                            ? new MeasurementRow(
                                    m.symbol(),
                                    m.label(),
                                    m.kind(),
                                    values.stream().map(String::valueOf).toList())
                            : m;
                })
                .toList();
        return new DesignDocument(
                name,
                pattern.sizes(),
                pattern.usualUnits(),
                measurements,
                pattern.boxed(),
                pattern.pieces(),
                pattern.trims(),
                pattern.notions(),
                pattern.steps(),
                pattern.slots());
    }

    private DesignSheet sheet(DesignDocument document) {
        Settings current = settings.current();
        FieldReader fields = new FieldReader();
        Design design = DocumentReader.read(document, fields);
        List<FindingView> unreadable = fields.problems().stream()
                .map(p -> new FindingView(Finding.Severity.REFUSED, p.field(), p.sentence()))
                .toList();
        boolean rowsFit =
                fields.problems().stream().map(FieldProblem::field).noneMatch(f -> f.startsWith("measurements."));
        SheetWriter writer = new SheetWriter(current.writer(), current.workroom());
        List<Supply> supplies = supplies(document);
        List<SizeSheet> sizes = new ArrayList<>();
        if (rowsFit) {
            for (int size = 0; size < design.sizes().size(); size++) {
                BatchPlan plan = planner.plan(
                        design, size, document.usualUnits(), supplies, current.workroom(), Optional.empty());
                sizes.add(with(writer.size(plan, design.boxed()), unreadable));
            }
        }
        boolean canBeSewn = unreadable.isEmpty()
                && sizes.stream()
                        .flatMap(s -> s.findings().stream())
                        .noneMatch(f -> f.severity() == Finding.Severity.REFUSED);
        return new DesignSheet(sizes, canBeSewn);
    }

    private static SizeSheet with(SizeSheet sheet, List<FindingView> more) {
        List<FindingView> findings = new ArrayList<>(more);
        findings.addAll(sheet.findings());
        return new SizeSheet(
                sheet.size(),
                sheet.measurements(),
                sheet.pieces(),
                sheet.trims(),
                sheet.corner(),
                sheet.finished(),
                sheet.ticket(),
                sheet.ticketMissing(),
                findings);
    }

    private List<Supply> supplies(DesignDocument document) {
        Map<String, Long> idBySlot = new LinkedHashMap<>();
        document.slots().stream()
                .filter(slot -> slot.materialId() != null)
                .forEach(slot -> idBySlot.put(slot.key(), slot.materialId()));
        return materials.supplies(idBySlot);
    }

    private DesignLine line(DesignEntity entity, Settings current) {
        DesignDocument document = document(entity);
        Design design = stored(document);
        int middle = (design.sizes().size() - 1) / 2 + (design.sizes().size() - 1) % 2;
        BatchPlan plan = planner.plan(
                design, middle, document.usualUnits(), supplies(document), current.workroom(), Optional.empty());
        SheetWriter writer = new SheetWriter(current.writer(), current.workroom());
        return new DesignLine(
                entity.id(),
                entity.name(),
                design.sizes(),
                plan.sized().finished().map(writer::finished).orElse(null),
                writer.ticket(plan, false).orElse(null));
    }

    private DesignDocument document(DesignEntity entity) {
        return json.readValue(entity.document(), DesignDocument.class);
    }

    private DesignEntity find(long id) {
        return designs.findById(id)
                .orElseThrow(() -> RefusedException.missing("There is no such design, or no longer."));
    }
}
