package mardun.app.design;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.design.DesignDocument.FormRow;
import mardun.app.design.DesignDocument.MarkRow;
import mardun.app.design.DesignDocument.PanelRow;
import mardun.app.design.DesignDocument.PieceRow;
import mardun.app.design.DesignDocument.PromptRow;
import mardun.app.design.DesignDocument.ShapeRow;
import mardun.app.design.DesignDocument.StepRow;
import mardun.app.problem.FieldReader;
import mardun.core.construction.SideEdge;
import mardun.core.design.BagForm;
import mardun.core.design.BoxedBag;
import mardun.core.design.Design;
import mardun.core.design.DrawnOutline;
import mardun.core.design.FoldedSideBag;
import mardun.core.design.FormMeasure;
import mardun.core.design.FreeForm;
import mardun.core.design.GussetedBag;
import mardun.core.design.Mark;
import mardun.core.design.MaterialSlot;
import mardun.core.design.Measurement;
import mardun.core.design.Panel;
import mardun.core.design.Piece;
import mardun.core.design.RoundBag;
import mardun.core.design.Shape;
import mardun.core.design.Wished;
import mardun.core.making.Prompt;
import mardun.core.making.Step;
import mardun.core.making.StepUses;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.UnitSystem;

/** Turns a design's document into the core's design. */
final class DocumentReader {

    private static final BigDecimal MOST_MINUTES = BigDecimal.valueOf(6000);
    private static final int MOST_SECONDS = 3600;
    private static final int MOST_WAITING = 7 * 24 * 3600;
    private static final int MOST_TIMES = 999;
    private static final BigDecimal SECONDS_PER_MINUTE = BigDecimal.valueOf(60);
    private static final BigDecimal SECONDS_PER_HOUR = BigDecimal.valueOf(3600);
    private static final Pattern AN_HOUR =
            Pattern.compile("(.+?)\\s*(?:/\\s*h|an hour|per hour)", Pattern.CASE_INSENSITIVE);
    private static final Pattern SYMBOL = Pattern.compile("[\\p{L}][\\p{L}\\p{M}\\p{N}_]*");
    private static final Set<String> TAKEN_SYMBOLS = Set.of("pi", "piece_width", "piece_height", "drawn_height");

    private DocumentReader() {}

    /** The document as it is kept: names without spaces around them, bare lengths with the maker's unit. */
    static DesignDocument kept(DesignDocument document, UnitSystem system) {
        DesignDocument kept = DocumentTexts.mapped(
                document.keyed(),
                (kind, text) -> kind == DocumentTexts.Kind.LENGTH ? Measurement.kept(text, system) : text.strip());
        return DocumentChoices.kept(
                kept.measured(kept.measurements().stream()
                        .map(m -> new Measurement(
                                m.symbol(),
                                m.label(),
                                m.kind(),
                                m.values().stream()
                                        .map(v -> Measurement.kept(m.kind(), v, system))
                                        .toList(),
                                m.options()))
                        .toList()),
                system);
    }

    /** Whether formulas may call a measurement so. */
    static boolean isSymbol(String name) {
        return SYMBOL.matcher(name).matches()
                && !TAKEN_SYMBOLS.contains(name)
                && LengthUnit.named(name).isEmpty();
    }

    static String noSymbol(String name) {
        return "“" + name + "” can't be a measurement's name in formulas. Use letters, digits and _,"
                + " beginning with a letter; units and pi are taken.";
    }

    /**
     * The core's design as it is usually made; what can't be read of names, letters, sizes and minutes is gathered in {@code fields}, also
     * where it belongs to what isn't usually there.
     */
    static Design read(DesignDocument document, FieldReader fields) {
        String name = fields.text("name", document.name(), 120);
        sizes(document, fields);
        measurements(document, fields);
        letters(document, fields);
        outlines(document, fields);
        List<Step> steps = new ArrayList<>();
        Set<String> letters = Renaming.letters(document);
        Set<String> keys = new HashSet<>();
        for (int i = 0; i < document.steps().size(); i++) {
            Step step = step(document.steps().get(i), "steps." + i, letters, fields);
            if (!keys.add(step.key())) {
                fields.refuse("steps." + i + ".key", step.key(), "Two steps have the key “" + step.key() + "”.");
            }
            steps.add(step);
        }
        DocumentChoices.check(document, fields);
        DesignDocument usual = document.asUsual();
        return usual == document ? design(name, document, steps) : design(name, usual, steps(usual, steps));
    }

    /** The steps that are there of some that were read, with what goes before and through them as it is then. */
    private static List<Step> steps(DesignDocument there, List<Step> read) {
        Map<String, Step> byKey =
                read.stream().collect(Collectors.toMap(Step::key, Function.identity(), (one, other) -> one));
        Set<String> letters = Renaming.letters(there);
        return there.steps().stream()
                .map(row -> byKey.get(row.key())
                        .among(row.after(), StepUses.read(row.uses(), letters).orElse(List.of())))
                .toList();
    }

    private static Design design(String name, DesignDocument document, List<Step> steps) {
        return new Design(
                name,
                document.sort(),
                document.sizes(),
                document.measurements(),
                form(document.form()),
                wished(document.form()),
                liningSeam(document.form()),
                document.pieces().stream().map(DocumentReader::piece).toList(),
                document.panels().stream().map(DocumentReader::panel).toList(),
                document.trims(),
                document.notions(),
                document.fillings(),
                document.zips(),
                document.straps(),
                document.casings(),
                Optional.ofNullable(document.gathers()).orElse(List.of()),
                steps,
                document.slots().stream()
                        .map(s -> new MaterialSlot(
                                s.key(), s.label(), s.kind(), s.cloths(), Optional.ofNullable(s.ware())))
                        .toList(),
                document.source(),
                document.forChildren(),
                document.setAside());
    }

    private static void sizes(DesignDocument document, FieldReader fields) {
        if (document.sizes().isEmpty()) {
            fields.refuse("sizes", "", "A design has at least one size.");
        }
        Set<String> sizes = new HashSet<>();
        for (int i = 0; i < document.sizes().size(); i++) {
            String size = fields.text("sizes." + i, document.sizes().get(i), 60);
            if (!sizes.add(size)) {
                fields.refuse("sizes." + i, size, "Two sizes are called “" + size + "”. Type another name.");
            }
        }
        for (int i = 0; i < document.fillings().size(); i++) {
            perSize(
                    "fillings." + i,
                    document.fillings().get(i).name(),
                    document.fillings().get(i).amounts(),
                    document,
                    fields);
        }
    }

    private static void perSize(
            String field, String label, List<String> values, DesignDocument document, FieldReader fields) {
        if (values.size() != 1 && values.size() != document.sizes().size()) {
            fields.refuse(
                    field,
                    values.toString(),
                    label + " has " + values.size() + " values for "
                            + document.sizes().size() + " sizes.");
        }
    }

    private static void measurements(DesignDocument document, FieldReader fields) {
        Set<String> symbols = new HashSet<>();
        for (Measurement row : document.measurements()) {
            String field = "measurements." + row.symbol();
            perSize(field, row.label(), row.values(), document, fields);
            if (!isSymbol(row.symbol())) {
                fields.refuse(field, row.symbol(), noSymbol(row.symbol()));
            }
            if (!symbols.add(row.symbol())) {
                fields.refuse(
                        field,
                        row.symbol(),
                        "Two measurements are called “" + row.symbol() + "” in formulas. Type another name.");
            }
        }
    }

    private static void letters(DesignDocument document, FieldReader fields) {
        Set<String> letters = new HashSet<>();
        Stream.of(
                        document.pieces().stream().map(PieceRow::letter),
                        document.panels().stream().map(PanelRow::letter),
                        document.trims().stream().map(t -> t.letter()))
                .flatMap(Function.identity())
                .filter(letter -> !letters.add(letter) || letter.isBlank())
                .distinct()
                .forEach(letter -> fields.refuse(
                        "letters",
                        letter,
                        letter.isBlank()
                                ? "A piece, a panel or a trim has no letter. Give each one of its own."
                                : "“" + letter + "” stands for two things. Give each piece, panel and trim a letter of"
                                        + " its own."));
    }

    private static BagForm form(FormRow row) {
        Optional<String> outer = present(row.outer());
        Optional<String> lining = present(row.lining());
        Function<FormMeasure, String> get = measure -> row.measures().getOrDefault(measure.key(), "");
        return switch (row.kind()) {
            case BOXED ->
                new BoxedBag(
                        row.school(),
                        row.base(),
                        outer,
                        lining,
                        get.apply(FormMeasure.DEPTH),
                        get.apply(FormMeasure.SIDE),
                        get.apply(FormMeasure.TOP),
                        get.apply(FormMeasure.BASE),
                        get.apply(FormMeasure.BOXING),
                        get.apply(FormMeasure.ZIP_SHOWS),
                        get.apply(FormMeasure.RIM_BAND),
                        present(row.other()),
                        Optional.ofNullable(row.sides()).orElse(SideEdge.SEAMS));
            case FOLDED_SIDES ->
                new FoldedSideBag(
                        outer,
                        lining,
                        get.apply(FormMeasure.FOLD),
                        get.apply(FormMeasure.TOP),
                        get.apply(FormMeasure.END),
                        get.apply(FormMeasure.ZIP_SHOWS));
            case GUSSETED ->
                new GussetedBag(
                        outer,
                        lining,
                        row.other(),
                        get.apply(FormMeasure.SIDE),
                        get.apply(FormMeasure.TOP),
                        get.apply(FormMeasure.END),
                        get.apply(FormMeasure.RADIUS));
            case ROUND ->
                new RoundBag(
                        outer,
                        lining,
                        row.other(),
                        get.apply(FormMeasure.SIDE),
                        get.apply(FormMeasure.TOP),
                        get.apply(FormMeasure.BASE));
            case FREE ->
                new FreeForm(
                        outer,
                        lining,
                        get.apply(FormMeasure.WIDTH),
                        get.apply(FormMeasure.HEIGHT),
                        get.apply(FormMeasure.DEPTH));
        };
    }

    private static String liningSeam(FormRow row) {
        return row.kind().measures().contains(FormMeasure.LINING_SEAM)
                ? row.measures().getOrDefault(FormMeasure.LINING_SEAM.key(), "")
                : "";
    }

    private static Wished wished(FormRow row) {
        return new Wished(
                row.measures().getOrDefault(FormMeasure.WISHED_WIDTH.key(), ""),
                row.measures().getOrDefault(FormMeasure.WISHED_HEIGHT.key(), ""));
    }

    private static Optional<String> present(String letter) {
        return letter.isBlank() ? Optional.empty() : Optional.of(letter);
    }

    private static Piece piece(PieceRow row) {
        return new Piece(
                row.letter(),
                row.name(),
                row.role(),
                row.slot(),
                row.quantity(),
                row.layers(),
                row.width(),
                row.height(),
                row.shapes().stream().map(DocumentReader::shape).toList(),
                row.edges(),
                row.directional(),
                Boolean.TRUE.equals(row.meetsPrint()),
                Boolean.TRUE.equals(row.overSelvage()),
                row.fold(),
                row.boxed(),
                Optional.ofNullable(row.backs()),
                Optional.ofNullable(row.trimTo()),
                row.marks().stream().map(DocumentReader::mark).toList());
    }

    private static void outlines(DesignDocument document, FieldReader fields) {
        for (int i = 0; i < document.pieces().size(); i++) {
            List<ShapeRow> shapes = document.pieces().get(i).shapes();
            for (int j = 0; j < shapes.size(); j++) {
                if (shapes.get(j).kind() == Shape.Kind.DRAWN && shapes.get(j).drawn() == null) {
                    fields.refuse(
                            "pieces." + i + ".shapes." + j + ".drawn",
                            "",
                            "An outline drawn by hand is missing its points.");
                }
            }
        }
    }

    private static Shape shape(ShapeRow row) {
        return new Shape(
                row.kind(),
                row.place(),
                row.across(),
                row.along(),
                Optional.ofNullable(row.drawn())
                        .filter(drawn -> row.kind() == Shape.Kind.DRAWN)
                        .map(drawn -> new DrawnOutline(
                                drawn.points(),
                                drawn.mirrored(),
                                drawn.line(),
                                drawn.tips(),
                                drawn.tallerAt(),
                                drawn.tallerBy())));
    }

    private static Panel panel(PanelRow row) {
        return new Panel(
                row.letter(),
                row.name(),
                row.direction(),
                row.parts(),
                row.join(),
                Optional.ofNullable(row.trimTo()),
                row.marks().stream().map(DocumentReader::mark).toList());
    }

    private static Mark mark(MarkRow row) {
        return new Mark(
                row.kind(),
                row.label(),
                row.from(),
                row.across(),
                row.down(),
                row.width(),
                row.height(),
                Optional.ofNullable(row.pair()).filter(pair -> !pair.isBlank()),
                row.half(),
                Optional.ofNullable(row.acrossFrom()).orElse(Mark.AcrossFrom.LEFT),
                Optional.ofNullable(row.downFrom()).orElse(Mark.DownFrom.TOP),
                Optional.ofNullable(row.closing()).orElse(Mark.Closing.AS_IT_LIES));
    }

    private static Step step(StepRow row, String place, Set<String> letters, FieldReader fields) {
        Optional<List<Step.Use>> uses = StepUses.read(row.uses(), letters);
        if (uses.isEmpty()) {
            String unreadable = StepUses.unreadable(row.uses(), letters);
            fields.refuse(
                    place + ".uses",
                    unreadable,
                    "“" + unreadable + "” isn't a piece. Type letters with their layers, like 2A, 2B, C.");
        }
        if (!row.details().seconds().isBlank()) {
            fields.count(place + ".seconds", row.details().seconds(), 1, MOST_SECONDS);
        }
        return new Step(
                        row.key(),
                        fields.text(place + ".name", row.name(), 120),
                        row.stage(),
                        row.station(),
                        row.setUp(),
                        perUnit(fields, place + ".minutesPerUnit", row.minutesPerUnit()),
                        minutes(fields, place + ".minutesPerBatch", row.minutesPerBatch()),
                        minutes(fields, place + ".passiveMinutes", row.passiveMinutes()),
                        row.check(),
                        row.caution(),
                        row.note(),
                        row.after(),
                        uses.orElse(List.of()))
                .prompting(prompts(row, place, fields))
                .goingOn(row.goesOn())
                .lying(Optional.ofNullable(row.lay()));
    }

    /** What is shown within a step. */
    private static List<Prompt> prompts(StepRow row, String place, FieldReader fields) {
        List<Prompt> prompts = new ArrayList<>();
        for (int i = 0; i < row.prompts().size(); i++) {
            PromptRow prompt = row.prompts().get(i);
            String its = place + ".prompts." + i;
            int seconds =
                    prompt.seconds().isBlank() ? 0 : fields.count(its + ".seconds", prompt.seconds(), 1, MOST_WAITING);
            int times = prompt.times().isBlank() ? 1 : fields.count(its + ".times", prompt.times(), 1, MOST_TIMES);
            prompts.add(new Prompt(
                    prompt.kind(),
                    prompt.text().strip(),
                    prompt.mark().strip(),
                    prompt.from().strip(),
                    prompt.gate(),
                    seconds,
                    times));
        }
        return prompts;
    }

    /** Minutes, or so many an hour. */
    private static Duration perUnit(FieldReader fields, String field, String typed) {
        Matcher rate = AN_HOUR.matcher(typed.strip());
        if (!rate.matches()) {
            return minutes(fields, field, typed);
        }
        BigDecimal anHour = fields.decimal(field, rate.group(1), new BigDecimal("0.1"), BigDecimal.valueOf(3600));
        return Duration.ofSeconds(
                SECONDS_PER_HOUR.divide(anHour, 0, RoundingMode.HALF_UP).longValueExact());
    }

    private static Duration minutes(FieldReader fields, String field, String typed) {
        BigDecimal minutes = fields.decimal(field, typed, BigDecimal.ZERO, MOST_MINUTES);
        return Duration.ofSeconds(minutes.multiply(SECONDS_PER_MINUTE)
                .setScale(0, RoundingMode.HALF_UP)
                .longValueExact());
    }
}
