package mardun.app.kind;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignDocument.Begun;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.DesignSheet;
import mardun.app.design.DesignViews.DesignView;
import mardun.app.design.DesignViews.PreviewedDesign;
import mardun.app.design.DocumentDecimals;
import mardun.app.design.DocumentWriter;
import mardun.app.design.PictureView;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.kind.KindViews.BriefForm;
import mardun.app.kind.KindViews.ChoiceView;
import mardun.app.kind.KindViews.DraftView;
import mardun.app.kind.KindViews.KindView;
import mardun.app.kind.KindViews.MeasureView;
import mardun.app.kind.KindViews.NewFromBrief;
import mardun.app.kind.KindViews.OptionView;
import mardun.app.kind.KindViews.PaperRow;
import mardun.app.kind.KindViews.Rechosen;
import mardun.app.kind.KindViews.RechosenView;
import mardun.app.kind.KindViews.SlotView;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.DecimalMark;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.design.Measurement;
import mardun.core.design.Sizing;
import mardun.core.kind.Brief;
import mardun.core.kind.Choice;
import mardun.core.kind.Drafting;
import mardun.core.kind.Drafting.Drafted;
import mardun.core.kind.Kind;
import mardun.core.kind.Known;
import mardun.core.kind.Option;
import mardun.core.kind.PaperCheck;
import mardun.core.material.ClothKind;
import mardun.core.material.UsualSale;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.LengthWriter;
import mardun.core.picture.BagPainter;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Begins designs from what a maker knows: a kind of bag, its measures and how it is made. */
@Service
public class KindService {

    private final DesignService designs;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Remembered<List<Object>, List<KindView>> wall;

    KindService(DesignService designs, SettingsService settings, OnceOnly onceOnly, Changes changes) {
        this.wall = new Remembered<>(changes);
        this.designs = designs;
        this.settings = settings;
        this.onceOnly = onceOnly;
    }

    /** A design as it was drafted, and what of a paper doesn't agree with it. */
    private record Made(DesignDocument document, Drafted drafted, List<String> disagreements) {}

    /** Every kind, with its bag as it usually is. */
    @Transactional(readOnly = true)
    public List<KindView> kinds() {
        Settings current = settings.current();
        return wall.get(List.of(current.unitSystem(), current.decimalMark()), shown -> drawn());
    }

    private List<KindView> drawn() {
        Settings current = settings.current();
        return Arrays.stream(Kind.values())
                .map(kind -> {
                    Begun begun = new Begun(kind, Known.FINISHED, Map.of(), current.unitSystem(), seam(current));
                    Drafted drafted = Drafting.of(Rechoosing.brief(kind.words(), begun, Map.of()));
                    PictureView picture = BagPainter.paint(drafted.design(), Sizing.of(drafted.design(), 0))
                            .map(drawn -> PictureView.of(drawn, slot -> Optional.empty()))
                            .orElse(null);
                    return new KindView(
                            kind,
                            kind.words(),
                            kind.sentence(),
                            measures(drafted, current.decimalMark()).stream()
                                    .filter(MeasureView::asked)
                                    .map(MeasureView::value)
                                    .toList(),
                            picture);
                })
                .toList();
    }

    /** The design that a brief makes; nothing is stored. */
    @Transactional(readOnly = true)
    public DraftView draft(BriefForm form) {
        Settings current = settings.current();
        Made made = made(form, form.name().isBlank() ? form.kind().words() : form.name(), current);
        return new DraftView(
                form.kind().words(),
                made.document(),
                sheet(made.document()),
                choices(form.kind(), made.drafted().chosen()),
                measures(made.drafted(), current.decimalMark()),
                slots(made.document(), current),
                made.disagreements());
    }

    /** Stores the design that a brief makes. */
    @Transactional
    public DesignView begin(NewFromBrief form) {
        long made = onceOnly.make(form.requestId(), "design", form, () -> {
            DesignDocument document =
                    made(form.brief(), form.brief().name(), settings.current()).document();
            return designs.store(document).value();
        });
        return designs.get(new DesignId(made));
    }

    /** A design that is being edited with other choices; all else stays. */
    public RechosenView rechoose(Rechosen form) {
        designs.checkLimits(form.document());
        Begun begun = Optional.ofNullable(form.document().begun())
                .orElseThrow(() -> RefusedException.conflict(
                        "This design was drawn by hand, so it has no choices. Change its pieces and steps."));
        DecimalMark mark = settings.current().decimalMark();
        // Drafts are written with a point, and what was typed with a comma isn't changed by hand for that.
        Rechoosing.Result result =
                Rechoosing.of(DocumentDecimals.in(form.document(), DecimalMark.POINT), begun, form.chosen());
        return new RechosenView(
                DocumentDecimals.in(result.document(), mark),
                choices(begun.kind(), result.drafted().chosen()),
                measures(result.drafted(), mark),
                result.kept());
    }

    private static String seam(Settings current) {
        return LengthWriter.exactly(current.usualSeam(), current.unitSystem());
    }

    private DesignSheet sheet(DesignDocument document) {
        return designs.preview(new PreviewedDesign(document, null));
    }

    private Made made(BriefForm form, String name, Settings current) {
        Map<String, String> typed = new HashMap<>();
        form.measures().forEach((symbol, value) -> {
            if (!value.isBlank()) {
                typed.put(symbol, value);
            }
        });
        Brief brief =
                new Brief(form.kind(), name, form.known(), form.chosen(), typed, current.unitSystem(), seam(current));
        Drafted drafted = Drafting.of(inUnits(brief));
        PaperCheck.Checked checked =
                PaperCheck.of(drafted.design(), paper(form.paper(), current), current.unitSystem());
        Begun begun = new Begun(form.kind(), form.known(), drafted.chosen(), current.unitSystem(), seam(current));
        return new Made(
                DocumentDecimals.in(
                        DocumentWriter.write(checked.design(), begun, form.materials()), current.decimalMark()),
                drafted,
                checked.disagreements().stream().map(current.writer()::sentence).toList());
    }

    /** What was typed without a unit is in the maker's. */
    private static Brief inUnits(Brief brief) {
        Map<String, Measurement.Kind> kinds = new HashMap<>();
        Drafting.of(brief).design().measurements().forEach(m -> kinds.put(m.symbol(), m.kind()));
        Map<String, String> kept = new HashMap<>();
        brief.measures()
                .forEach((symbol, value) -> kept.put(
                        symbol,
                        kinds.containsKey(symbol)
                                ? Measurement.kept(kinds.get(symbol), value, brief.system())
                                : value));
        return new Brief(brief.kind(), brief.name(), brief.known(), brief.chosen(), kept, brief.system(), brief.seam());
    }

    private static List<PaperCheck.Says> paper(List<PaperRow> rows, Settings current) {
        FieldReader fields = new FieldReader();
        LengthUnit unit = current.unitSystem().smallUnit();
        List<PaperCheck.Says> says = new ArrayList<>();
        for (PaperRow row : rows) {
            Optional<Length> width = length(fields, "paper." + row.letter() + ".width", row.width(), unit);
            Optional<Length> height = length(fields, "paper." + row.letter() + ".height", row.height(), unit);
            if (width.isPresent() || height.isPresent()) {
                says.add(new PaperCheck.Says(row.letter(), width, height));
            }
        }
        fields.check();
        return says;
    }

    private static Optional<Length> length(FieldReader fields, String field, String typed, LengthUnit unit) {
        return typed.isBlank() ? Optional.empty() : Optional.ofNullable(fields.length(field, typed, unit));
    }

    private static List<ChoiceView> choices(Kind kind, Map<Choice, Option> chosen) {
        return kind.offers().entrySet().stream()
                .map(offer -> new ChoiceView(
                        offer.getKey(),
                        offer.getKey().words(),
                        offer.getKey().part(),
                        offer.getKey().part().words(),
                        chosen.get(offer.getKey()),
                        offer.getValue().stream()
                                .map(option -> new OptionView(
                                        option,
                                        option.words(),
                                        option.sentence(),
                                        option.clashIn(chosen)
                                                .map(other ->
                                                        other.choice().words().toLowerCase(Locale.ROOT) + ": "
                                                                + other.words())
                                                .orElse(null)))
                                .toList()))
                .toList();
    }

    private List<SlotView> slots(DesignDocument document, Settings current) {
        Map<String, List<MaterialId>> serving = new HashMap<>();
        designs.slotMaterials(document).forEach(slot -> serving.put(slot.slot(), slot.materialIds()));
        return document.slots().stream()
                .map(slot -> {
                    Optional<ClothKind> cloth = slot.cloths().stream().findFirst();
                    UsualSale sale = UsualSale.of(slot.kind(), cloth, current.unitSystem());
                    return new SlotView(
                            slot.key(),
                            slot.label(),
                            slot.kind(),
                            cloth.orElse(null),
                            slot.ware(),
                            slot.materialId(),
                            serving.getOrDefault(slot.key(), List.of()),
                            sale.per(),
                            sale.width());
                })
                .toList();
    }

    private static List<MeasureView> measures(Drafted drafted, DecimalMark mark) {
        Map<String, Measurement> rows = new LinkedHashMap<>();
        drafted.design().measurements().forEach(m -> rows.put(m.symbol(), m));
        List<MeasureView> views = new ArrayList<>();
        drafted.asked().forEach(symbol -> views.add(measure(rows.get(symbol), drafted, true, mark)));
        drafted.typed().stream()
                .filter(symbol -> !drafted.asked().contains(symbol))
                .forEach(symbol -> views.add(measure(rows.get(symbol), drafted, false, mark)));
        return views;
    }

    private static MeasureView measure(Measurement row, Drafted drafted, boolean asked, DecimalMark mark) {
        return new MeasureView(
                row.symbol(),
                row.label(),
                mark.inFormula(row.values().get(0)),
                asked,
                row.kind().isLength(),
                asked ? null : drafted.parts().get(row.symbol()));
    }
}
