package mardun.core.design;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;

/** Puts designs together for tests, or changes one part of a design. */
public final class DesignMaker {

    private final List<Measurement> measurements = new ArrayList<>();
    private final List<Piece> pieces = new ArrayList<>();
    private final List<Panel> panels = new ArrayList<>();
    private final List<TrimNeed> trims = new ArrayList<>();
    private final List<NotionNeed> notions = new ArrayList<>();
    private final List<FillingNeed> fillings = new ArrayList<>();
    private final List<ZipFit> zips = new ArrayList<>();
    private final List<Strap> straps = new ArrayList<>();
    private final List<Casing> casings = new ArrayList<>();
    private final List<Gather> gathers = new ArrayList<>();
    private final List<Step> steps = new ArrayList<>();
    private final List<MaterialSlot> slots = new ArrayList<>();
    private final List<SetAside> setAside = new ArrayList<>();
    private String name = "Test design";
    private List<String> sizes = List.of("one size");
    private BagForm form = new FreeForm(Optional.empty(), Optional.empty(), "10 in", "8 in", "");
    private Wished wished = Wished.NOTHING;
    private String liningSeam = "";
    private boolean forChildren;

    public static DesignMaker empty() {
        return new DesignMaker();
    }

    public static DesignMaker from(Design design) {
        DesignMaker maker = new DesignMaker();
        maker.name = design.name();
        maker.sizes = design.sizes();
        maker.form = design.form();
        maker.wished = design.wished();
        maker.liningSeam = design.liningSeam();
        maker.forChildren = design.forChildren();
        maker.measurements.addAll(design.measurements());
        maker.pieces.addAll(design.pieces());
        maker.panels.addAll(design.panels());
        maker.trims.addAll(design.trims());
        maker.notions.addAll(design.notions());
        maker.fillings.addAll(design.fillings());
        maker.zips.addAll(design.zips());
        maker.straps.addAll(design.straps());
        maker.casings.addAll(design.casings());
        maker.gathers.addAll(design.gathers());
        maker.steps.addAll(design.steps());
        maker.slots.addAll(design.slots());
        maker.setAside.addAll(design.setAside());
        return maker;
    }

    public DesignMaker sizes(String... names) {
        sizes = List.of(names);
        return this;
    }

    public DesignMaker measured(Measurement... more) {
        for (Measurement measurement : more) {
            measurements.removeIf(m -> m.symbol().equals(measurement.symbol()));
            measurements.add(measurement);
        }
        return this;
    }

    public DesignMaker form(BagForm newForm) {
        form = newForm;
        return this;
    }

    public DesignMaker pieces(Piece... more) {
        pieces.addAll(Arrays.asList(more));
        return this;
    }

    public DesignMaker piece(String letter, UnaryOperator<Piece> change) {
        pieces.replaceAll(p -> p.letter().equals(letter) ? change.apply(p) : p);
        return this;
    }

    public DesignMaker panels(Panel... more) {
        panels.addAll(Arrays.asList(more));
        return this;
    }

    public DesignMaker trims(TrimNeed... more) {
        for (TrimNeed trim : more) {
            trims.removeIf(t -> t.letter().equals(trim.letter()));
            trims.add(trim);
        }
        return this;
    }

    public DesignMaker notions(NotionNeed... more) {
        notions.addAll(Arrays.asList(more));
        return this;
    }

    public DesignMaker fillings(FillingNeed... more) {
        fillings.addAll(Arrays.asList(more));
        return this;
    }

    public DesignMaker zips(ZipFit... more) {
        zips.addAll(Arrays.asList(more));
        return this;
    }

    public DesignMaker straps(Strap... more) {
        straps.addAll(Arrays.asList(more));
        return this;
    }

    public DesignMaker gathers(Gather... more) {
        gathers.addAll(Arrays.asList(more));
        return this;
    }

    public DesignMaker casings(Casing... more) {
        casings.addAll(Arrays.asList(more));
        return this;
    }

    public DesignMaker steps(Step... more) {
        steps.addAll(Arrays.asList(more));
        return this;
    }

    public DesignMaker cloth(String slot, ClothKind... kinds) {
        slots.removeIf(s -> s.key().equals(slot));
        slots.add(new MaterialSlot(slot, slot, MaterialKind.CLOTH, List.of(kinds)));
        return this;
    }

    public DesignMaker setAside(Check check, String place, String reason) {
        setAside.add(new SetAside(check, place, reason));
        return this;
    }

    public DesignMaker liningSeam(String formula) {
        liningSeam = formula;
        return this;
    }

    public DesignMaker wished(String width, String height) {
        wished = new Wished(width, height);
        return this;
    }

    public DesignMaker forChildren() {
        forChildren = true;
        return this;
    }

    public Design make() {
        return new Design(
                name,
                "",
                sizes,
                measurements,
                form,
                wished,
                liningSeam,
                pieces,
                panels,
                trims,
                notions,
                fillings,
                zips,
                straps,
                casings,
                gathers,
                steps,
                slots,
                Source.OWN,
                forChildren,
                setAside);
    }

    /** A step in which nothing but what is given matters. */
    public static Step step(String key, Station station, String needle, List<String> after, Step.Use... uses) {
        return new Step(
                key,
                "Step " + key,
                Stage.SEW,
                station,
                SetUp.of(needle, "", "", ""),
                Duration.ofMinutes(1),
                Duration.ofMinutes(1),
                Duration.ZERO,
                "",
                "",
                "",
                after,
                List.of(uses));
    }

    public static Step.Use use(String letter, int layers) {
        return new Step.Use(letter, layers);
    }

    public static Piece sized(Piece p, String width, String height) {
        return copy(p, p.quantity(), p.layers(), width, height, p.shapes(), p.directional(), p.boxed(), p.backs());
    }

    public static Piece counted(Piece p, String quantity, int layers) {
        return copy(p, quantity, layers, p.width(), p.height(), p.shapes(), p.directional(), p.boxed(), p.backs());
    }

    public static Piece boxed(Piece p, boolean directional) {
        return copy(p, p.quantity(), p.layers(), p.width(), p.height(), p.shapes(), directional, true, p.backs());
    }

    /** A piece of that shape, whose corners aren't boxed. */
    public static Piece shaped(Piece p, Shape... shapes) {
        return copy(
                p, p.quantity(), p.layers(), p.width(), p.height(), List.of(shapes), p.directional(), false, p.backs());
    }

    /** A boxed piece with that shape as well. */
    public static Piece boxedAndShaped(Piece p, Shape... shapes) {
        return copy(
                p, p.quantity(), p.layers(), p.width(), p.height(), List.of(shapes), p.directional(), true, p.backs());
    }

    public static Piece backing(Piece p, String backed) {
        return copy(
                p,
                p.quantity(),
                p.layers(),
                p.width(),
                p.height(),
                p.shapes(),
                p.directional(),
                p.boxed(),
                Optional.of(backed));
    }

    /** A piece with a top. */
    public static Piece directional(Piece p) {
        return copy(p, p.quantity(), p.layers(), p.width(), p.height(), p.shapes(), true, p.boxed(), p.backs());
    }

    /** A piece that is cut on the fold. */
    public static Piece folded(Piece p, ClothFold fold) {
        return new Piece(
                p.letter(),
                p.name(),
                p.role(),
                p.slot(),
                p.quantity(),
                p.layers(),
                p.width(),
                p.height(),
                p.shapes(),
                p.edges(),
                p.directional(),
                p.meetsPrint(),
                p.overSelvage(),
                fold,
                p.boxed(),
                p.backs(),
                p.trimTo(),
                p.marks());
    }

    public static Piece marked(Piece p, Mark... marks) {
        return ended(p, p.edges(), p.trimTo(), List.of(marks));
    }

    public static Piece trimmedTo(Piece p, String width, String height) {
        return ended(p, p.edges(), Optional.of(new Piece.TrimTo(width, height)), p.marks());
    }

    public static Piece edged(Piece p, Edges edges) {
        return ended(p, edges, p.trimTo(), p.marks());
    }

    private static Piece copy(
            Piece p,
            String quantity,
            int layers,
            String width,
            String height,
            List<Shape> shapes,
            boolean directional,
            boolean boxed,
            Optional<String> backs) {
        return new Piece(
                p.letter(),
                p.name(),
                p.role(),
                p.slot(),
                quantity,
                layers,
                width,
                height,
                shapes,
                p.edges(),
                directional,
                p.meetsPrint(),
                p.overSelvage(),
                p.fold(),
                boxed,
                backs,
                p.trimTo(),
                p.marks());
    }

    private static Piece ended(Piece p, Edges edges, Optional<Piece.TrimTo> trimTo, List<Mark> marks) {
        return new Piece(
                p.letter(),
                p.name(),
                p.role(),
                p.slot(),
                p.quantity(),
                p.layers(),
                p.width(),
                p.height(),
                p.shapes(),
                edges,
                p.directional(),
                p.meetsPrint(),
                p.overSelvage(),
                p.fold(),
                p.boxed(),
                p.backs(),
                trimTo,
                marks);
    }
}
