package mardun.core.kind;

import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.core.design.BagForm;
import mardun.core.design.Casing;
import mardun.core.design.ClothFold;
import mardun.core.design.Design;
import mardun.core.design.Edges;
import mardun.core.design.FillingNeed;
import mardun.core.design.Gather;
import mardun.core.design.Mark;
import mardun.core.design.MaterialSlot;
import mardun.core.design.Measurement;
import mardun.core.design.NotionNeed;
import mardun.core.design.Panel;
import mardun.core.design.Piece;
import mardun.core.design.Role;
import mardun.core.design.Shape;
import mardun.core.design.Source;
import mardun.core.design.Strap;
import mardun.core.design.TrimNeed;
import mardun.core.design.Wished;
import mardun.core.design.ZipFit;
import mardun.core.making.Lay;
import mardun.core.making.Prompt;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.making.Timing;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.Ware;

/** A design that is being put together from what was chosen. Each part adds what it needs, and asks for nothing twice. */
final class Draft {

    static final String OUTER = "outer";
    static final String LINING = "lining";

    /** The seam allowance, which every kind has. */
    static final String SEAM = "seam";

    private static final Duration MINUTE = Duration.ofMinutes(1);

    private final Brief brief;
    private final Map<Choice, Option> chosen;
    private final Map<String, Measurement> measurements = new LinkedHashMap<>();
    private final Set<String> following = new HashSet<>();
    private final Map<String, Choice> parts = new LinkedHashMap<>();
    private Optional<Choice> part = Optional.empty();
    private final Map<String, Cut> pieces = new LinkedHashMap<>();
    private final List<Panel> panels = new ArrayList<>();
    private final List<TrimNeed> trims = new ArrayList<>();
    private final List<NotionNeed> notions = new ArrayList<>();
    private final List<FillingNeed> fillings = new ArrayList<>();
    private final List<ZipFit> zips = new ArrayList<>();
    private final List<Strap> straps = new ArrayList<>();
    private final List<Casing> casings = new ArrayList<>();
    private final List<Gather> gathers = new ArrayList<>();
    private final Map<String, Sewing> steps = new LinkedHashMap<>();
    private final Map<String, MaterialSlot> slots = new LinkedHashMap<>();
    private BagForm form;
    private Wished wished = Wished.NOTHING;
    private String liningSeam = "";

    Draft(Brief brief) {
        this.brief = brief;
        this.chosen = brief.settled();
    }

    boolean has(Option option) {
        return chosen.get(option.choice()) == option;
    }

    boolean hasAny(Option... options) {
        return Stream.of(options).anyMatch(this::has);
    }

    /** Whether the kind asks for a choice at all. */
    boolean asks(Choice choice) {
        return chosen.containsKey(choice);
    }

    /** A length as it is usual, in the maker's units. */
    String usual(String inch, String metric) {
        return switch (brief.system()) {
            case INCH -> inch;
            case METRIC -> metric;
        };
    }

    /** A measurement of which the usual value is given; what was typed for it goes before. */
    String measure(String symbol, String label, Measurement.Kind kind, String value) {
        measurements.putIfAbsent(
                symbol, Measurement.of(symbol, label, kind, brief.measures().getOrDefault(symbol, value)));
        part.ifPresent(choice -> parts.putIfAbsent(symbol, choice));
        return symbol;
    }

    String finished(String symbol, String label, String inch, String metric) {
        return measure(symbol, label, Measurement.Kind.FINISHED, usual(inch, metric));
    }

    String allowance(String symbol, String label, String inch, String metric) {
        return measure(symbol, label, Measurement.Kind.ALLOWANCE, usual(inch, metric));
    }

    /** The seam allowance that the maker usually sews. */
    String seam() {
        return measure(SEAM, "Seam allowance", Measurement.Kind.ALLOWANCE, brief.seam());
    }

    /** What follows from other measurements and isn't typed. */
    void follows(String symbol, String label, Measurement.Kind kind, String formula) {
        measurements.put(symbol, Measurement.of(symbol, label, kind, formula));
        following.add(symbol);
    }

    /** What is added belongs to what was chosen there. */
    void about(Choice choice, Runnable adding) {
        Optional<Choice> before = part;
        part = Optional.of(choice);
        adding.run();
        part = before;
    }

    /** Which choice each measurement belongs to; those of the bag as a whole belong to none. */
    Map<String, Choice> parts() {
        return parts;
    }

    /** The measurements that are typed, or may be: those that don't follow from others whatever is typed. */
    Set<String> typed() {
        Set<String> typed = new LinkedHashSet<>(measurements.keySet());
        typed.removeAll(following);
        return typed;
    }

    /** A length rounded up to what a ruler shows well. */
    String whole(String formula) {
        return "up_to(" + formula + "; " + usual("1/4 in", "5 mm") + ")";
    }

    /** A piece to which edges, marks and shapes may still be added. */
    static final class Cut {
        private final Draft draft;
        private final Piece plain;
        private Edges edges = Edges.UNSTATED;
        private String over = "";
        private boolean directional;
        private boolean boxed;
        private Optional<String> backs = Optional.empty();
        private Optional<Piece.TrimTo> trimTo = Optional.empty();
        private final List<Shape> shapes = new ArrayList<>();
        private final List<Mark> marks = new ArrayList<>();

        private Cut(Draft draft, Piece plain) {
            this.draft = draft;
            this.plain = plain;
        }

        Cut edges(String top, String right, String bottom, String left) {
            edges = new Edges(top, right, bottom, left);
            return this;
        }

        /** Has a top, so that the print stands upright. */
        Cut upright() {
            directional = true;
            return this;
        }

        Cut boxed(boolean isBoxed) {
            boxed = isBoxed;
            return this;
        }

        Cut backing(String letter) {
            backs = Optional.of(letter);
            return this;
        }

        /** Cut larger, in both directions. */
        Cut enlarged(String by) {
            over = " + " + by;
            return this;
        }

        Cut trimmedTo(String width, String height) {
            trimTo = Optional.of(new Piece.TrimTo(width, height));
            return this;
        }

        Cut shaped(Shape.Kind kind, Shape.Place place, String across, String along) {
            shapes.add(new Shape(kind, place, across, along));
            return this;
        }

        Cut circle() {
            shapes.add(Shape.CIRCLE);
            return this;
        }

        Cut marked(Mark mark) {
            marks.add(mark);
            return this;
        }

        Cut foldLine(String label) {
            return marked(Mark.at(Mark.Kind.FOLD_LINE, label, Mark.From.RAW, "", "piece_height / 2"));
        }

        private Piece piece() {
            return new Piece(
                    plain.letter(),
                    plain.name(),
                    plain.role(),
                    plain.slot(),
                    plain.quantity(),
                    plain.layers(),
                    plain.width() + over,
                    plain.height() + over,
                    shapes,
                    edges,
                    directional,
                    false,
                    false,
                    ClothFold.NONE,
                    boxed,
                    backs,
                    trimTo,
                    marks);
        }
    }

    Cut piece(String letter, String name, Role role, String slot, int quantity, String width, String height) {
        Cut cut = new Cut(this, Piece.of(letter, name, role, slot, String.valueOf(quantity), width, height));
        pieces.put(letter, cut);
        return cut;
    }

    /** A piece that another part has added. */
    Cut piece(String letter) {
        return pieces.get(letter);
    }

    boolean hasPiece(String letter) {
        return pieces.containsKey(letter);
    }

    void panel(Panel panel) {
        panels.add(panel);
    }

    void trim(String letter, String name, TrimNeed.Kind kind, String slot, int quantity, String length) {
        trims.add(TrimNeed.of(letter, name, kind, slot, String.valueOf(quantity), length));
    }

    void trim(TrimNeed trim) {
        trims.add(trim);
    }

    void notion(String name, String slot, int quantity) {
        notions.add(NotionNeed.of(name, slot, String.valueOf(quantity)));
    }

    /** A two-part fastener: one of each half. */
    void halves(String name, String slot) {
        notions.add(new NotionNeed(name + ", socket", slot, "1", Mark.Half.SOCKET));
        notions.add(new NotionNeed(name + ", stud", slot, "1", Mark.Half.STUD));
    }

    void filling(String name, String slot, String amount) {
        fillings.add(new FillingNeed(name, slot, List.of(amount)));
    }

    void zip(ZipFit zip) {
        zips.add(zip);
    }

    void strap(Strap strap) {
        straps.add(strap);
    }

    void casing(Casing casing) {
        casings.add(casing);
    }

    void gather(Gather gather) {
        gathers.add(gather);
    }

    void cloth(String key, String label, ClothKind... cloths) {
        slots.putIfAbsent(key, new MaterialSlot(key, label, MaterialKind.CLOTH, List.of(cloths)));
    }

    void ware(String key, String label, Ware ware) {
        slots.putIfAbsent(key, new MaterialSlot(key, label, ware.kind(), List.of(), Optional.of(ware)));
    }

    void bulk(String key, String label) {
        slots.putIfAbsent(key, new MaterialSlot(key, label, MaterialKind.FILLING_BY_WEIGHT, List.of()));
    }

    void form(BagForm bagForm, Wished wish) {
        form = bagForm;
        wished = wish;
    }

    void liningSeam(String formula) {
        liningSeam = formula;
    }

    /** A step to which more may still be added. */
    static final class Sewing {
        private final String key;
        private final String name;
        private final Station station;
        private final SetUp setUp;
        private Stage stage;
        private double each;
        private double once;
        private double passive;
        private String check = "";
        private String caution = "";
        private boolean goesOn;
        private Optional<Lay> lay = Optional.empty();
        private final Set<String> after = new LinkedHashSet<>();
        private final List<Step.Use> uses = new ArrayList<>();
        private final List<Prompt> prompts = new ArrayList<>();

        private Sewing(String key, String name, Stage stage, Station station, SetUp setUp) {
            this.key = key;
            this.name = name;
            this.stage = stage;
            this.station = station;
            this.setUp = setUp;
        }

        /** Minutes for each bag and once for the batch. */
        Sewing takes(double perUnit, double perBatch) {
            each = perUnit;
            once = perBatch;
            return this;
        }

        Sewing rests(double minutes) {
            passive = minutes;
            return this;
        }

        Sewing check(String text) {
            check = text;
            return this;
        }

        /** What is half made can't be put away after it. */
        Sewing goesOn() {
            goesOn = true;
            return this;
        }

        /** How its pieces lie on one another. */
        Sewing lies(Lay how) {
            lay = Optional.of(how);
            return this;
        }

        Sewing caution(String text) {
            caution = text;
            return this;
        }

        /** Those of the named steps that there are come before. */
        Sewing after(String... keys) {
            after.addAll(List.of(keys));
            return this;
        }

        Sewing uses(String letter, int layers, Step.Side... along) {
            uses.add(new Step.Use(letter, layers, along.length == 0 ? Set.of() : EnumSet.copyOf(List.of(along))));
            return this;
        }

        Sewing uses(String letter) {
            return uses(letter, 1);
        }

        Sewing gate(String text) {
            prompts.add(new Prompt(Prompt.Kind.BEFORE, text, "", "", true, 0, 1));
            return this;
        }

        Sewing tells(String text) {
            prompts.add(new Prompt(Prompt.Kind.DO, text, "", "", false, 0, 1));
            return this;
        }

        Sewing tells(String text, String mark, String from) {
            prompts.add(new Prompt(Prompt.Kind.DO, text, mark, from, false, 0, 1));
            return this;
        }

        private Step step(Set<String> keys) {
            return new Step(
                    key,
                    name,
                    stage,
                    station,
                    setUp,
                    minutes(each),
                    minutes(once),
                    minutes(passive),
                    check,
                    caution,
                    "",
                    after.stream().filter(keys::contains).toList(),
                    uses,
                    Timing.GUESS,
                    prompts,
                    goesOn,
                    lay);
        }

        private static Duration minutes(double minutes) {
            return Duration.ofSeconds(Math.round(minutes * MINUTE.toSeconds()));
        }
    }

    private Sewing step(String key, String name, Stage stage, Station station, SetUp setUp) {
        Sewing step = new Sewing(key, name, stage, station, setUp);
        steps.put(key, step);
        return step;
    }

    Sewing atTable(String key, String name) {
        return step(key, name, Stage.SEW, Station.WORK_TABLE, SetUp.NONE);
    }

    Sewing atPress(String key, String name) {
        return step(key, name, Stage.CUT, Station.PRESS, SetUp.NONE);
    }

    Sewing cutting() {
        return step("cut", "Cut all pieces", Stage.CUT, Station.CUTTING_TABLE, SetUp.NONE);
    }

    Sewing finishing(String key, String name) {
        return step(key, name, Stage.FINISH, Station.WORK_TABLE, SetUp.NONE);
    }

    /** A step at the machine, with what it asks of it. */
    Sewing sewn(String key, String name, Seam seam) {
        return step(key, name, Stage.SEW, seam.station(), seam.setUp());
    }

    /** What the outer's cloth asks for where two layers of it are sewn. */
    Seam seamOfOuter() {
        boolean heavy = slots.get(OUTER).cloths().stream()
                .findFirst()
                .filter(ClothKind.CANVAS::equals)
                .isPresent();
        return heavy ? Seam.STRONG : Seam.PLAIN;
    }

    Sewing step(String key) {
        return steps.get(key);
    }

    /** The design, with all that the parts have added. */
    Design design() {
        Set<String> keys = steps.keySet();
        Set<String> used = Stream.of(
                        pieces.values().stream().map(cut -> cut.plain.slot()),
                        trims.stream().map(TrimNeed::slot),
                        notions.stream().map(NotionNeed::slot),
                        fillings.stream().map(FillingNeed::slot))
                .flatMap(slot -> slot)
                .collect(Collectors.toSet());
        return new Design(
                brief.name(),
                brief.kind().sort(),
                List.of("one size"),
                List.copyOf(measurements.values()),
                form,
                wished,
                liningSeam,
                pieces.values().stream().map(Cut::piece).toList(),
                panels,
                trims,
                notions,
                fillings,
                zips,
                straps,
                casings,
                gathers,
                steps.values().stream().map(step -> step.step(keys)).toList(),
                slots.values().stream()
                        .filter(slot -> used.contains(slot.key()))
                        .toList(),
                Source.OWN,
                false,
                List.of());
    }
}
