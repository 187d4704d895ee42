package mardun.core.design;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mardun.core.material.Ware;

/**
 * Sorts a design by the parts of the bag: a piece by what it is for, a trim and a notion by what they are, and a measurement by
 * what names it in its formulas. What several parts are measured by is the body's.
 */
public final class BagParts {

    private static final Pattern NAME = Pattern.compile("[\\p{L}_][\\p{L}\\p{M}\\p{N}_]*(?! *\\()");

    /**
     * What belongs to a part.
     *
     * @param letters of its pieces and trims, in the order of the design
     * @param slots what it is made of
     * @param symbols the measurements that are for it alone
     */
    public record Belongings(Set<String> letters, Set<String> slots, Set<String> symbols) {

        private Belongings() {
            this(new LinkedHashSet<>(), new LinkedHashSet<>(), new LinkedHashSet<>());
        }
    }

    private final Design design;
    private final Map<BagPart, Belongings> belongings = new EnumMap<>(BagPart.class);
    private final Map<String, Set<BagPart>> namedBy = new HashMap<>();
    private final Set<String> ofTheForm = new TreeSet<>();
    private final Set<String> asStraps = new TreeSet<>();
    private final Set<String> ofPockets = new TreeSet<>();

    private BagParts(Design design) {
        this.design = design;
        design.form().outer().ifPresent(ofTheForm::add);
        design.straps().forEach(strap -> asStraps.add(strap.of()));
        design.gathers().stream()
                .filter(gather -> design.pieces().stream()
                        .anyMatch(piece -> piece.letter().equals(gather.of()) && piece.role() == Role.POCKET))
                .forEach(gather -> ofPockets.add(gather.elastic()));
        List<String> pockets = design.pieces().stream()
                .flatMap(piece -> piece.marks().stream())
                .filter(mark -> mark.kind() == Mark.Kind.POCKET)
                .flatMap(mark -> Stream.of(mark.width(), mark.height()))
                .flatMap(text -> names(text).stream())
                .toList();
        design.zips().stream()
                .filter(zip -> !names(zip.edge()).isEmpty() && pockets.containsAll(names(zip.edge())))
                .forEach(zip -> ofPockets.add(zip.zip()));
    }

    /** All parts in their order, each with what belongs to it, which may be nothing; every measurement belongs to one. */
    public static Map<BagPart, Belongings> of(Design design) {
        return new BagParts(design).sorted();
    }

    private Map<BagPart, Belongings> sorted() {
        Arrays.stream(BagPart.values()).forEach(part -> belongings.put(part, new Belongings()));
        design.pieces().forEach(piece -> {
            BagPart part = of(piece);
            has(part, piece.letter(), piece.slot());
            piece.marks().forEach(mark -> named(mark.kind() == Mark.Kind.POCKET ? BagPart.POCKETS : part, texts(mark)));
            named(part, texts(piece));
        });
        design.trims().forEach(trim -> {
            BagPart part = of(trim);
            has(part, trim.letter(), trim.slot());
            named(part, Stream.of(trim.quantity(), trim.length(), trim.turnUnder(), trim.shortest(), trim.longest()));
        });
        design.notions().forEach(notion -> {
            BagPart part = of(wareOf(notion.slot()));
            part(part).slots().add(notion.slot());
            named(part, Stream.of(notion.quantity()));
        });
        design.fillings().forEach(filling -> part(BagPart.FILLING).slots().add(filling.slot()));
        design.form().measures().values().forEach(text -> named(BagPart.BODY, Stream.of(text)));
        named(BagPart.LINING, Stream.of(design.liningSeam()));
        design.straps().forEach(strap -> named(BagPart.STRAPS, texts(strap)));
        design.casings().forEach(casing -> named(BagPart.CLOSING, texts(casing)));
        design.zips().forEach(zip -> named(ofPockets.contains(zip.zip()) ? BagPart.POCKETS : BagPart.ZIP, texts(zip)));
        measurements();
        return belongings;
    }

    private void measurements() {
        Map<String, Measurement> rows = new HashMap<>();
        design.measurements().forEach(row -> rows.put(row.symbol(), row));
        Map<String, Set<BagPart>> reached = new HashMap<>();
        namedBy.forEach((symbol, parts) -> parts.forEach(part -> reach(symbol, part, rows, reached)));
        design.measurements().forEach(row -> {
            Set<BagPart> parts = reached.getOrDefault(row.symbol(), Set.of());
            part(parts.size() == 1 ? parts.iterator().next() : BagPart.BODY)
                    .symbols()
                    .add(row.symbol());
        });
    }

    /** What a measurement is worked out from is needed where it is. */
    private static void reach(
            String symbol, BagPart part, Map<String, Measurement> rows, Map<String, Set<BagPart>> reached) {
        Measurement row = rows.get(symbol);
        if (row != null
                && reached.computeIfAbsent(symbol, any -> EnumSet.noneOf(BagPart.class))
                        .add(part)) {
            row.values().forEach(value -> names(value).forEach(name -> reach(name, part, rows, reached)));
        }
    }

    private BagPart of(Piece piece) {
        boolean isFlap = piece.role() == Role.OUTER
                && !ofTheForm.contains(piece.letter())
                && piece.marks().stream().anyMatch(mark -> mark.closing() == Mark.Closing.FLAP_OVER);
        if (isFlap) {
            return BagPart.CLOSING;
        }
        return switch (piece.role()) {
            case OUTER, ACCENT -> BagPart.BODY;
            case LINING -> BagPart.LINING;
            case INTERFACING -> BagPart.STIFFENING;
            case POCKET -> BagPart.POCKETS;
            case TAB -> design.zips().isEmpty() ? BagPart.STRAPS : BagPart.ZIP;
            case STRAP -> BagPart.STRAPS;
        };
    }

    private BagPart of(TrimNeed trim) {
        if (asStraps.contains(trim.letter())) {
            return BagPart.STRAPS;
        }
        return ofPockets.contains(trim.letter())
                ? BagPart.POCKETS
                : of(Optional.of(trim.kind().ware()));
    }

    private static BagPart of(Optional<Ware> ware) {
        return switch (ware.orElse(Ware.SOMETHING_ELSE)) {
            case ZIP_TAPE, SLIDER -> BagPart.ZIP;
            case CORD, CORD_END, RIBBON, SNAP, MAGNET, LOCK -> BagPart.CLOSING;
            case WEBBING, RING, CLIP -> BagPart.STRAPS;
            case STIFFENER -> BagPart.STIFFENING;
            case LABEL -> BagPart.LABEL;
            case ELASTIC, BINDING, SOMETHING_ELSE -> BagPart.BODY;
        };
    }

    private Optional<Ware> wareOf(String key) {
        return design.slots().stream()
                .filter(slot -> slot.key().equals(key))
                .findFirst()
                .flatMap(MaterialSlot::ware);
    }

    private Belongings part(BagPart part) {
        return belongings.get(part);
    }

    private void has(BagPart part, String letter, String slot) {
        part(part).letters().add(letter);
        part(part).slots().add(slot);
    }

    private void named(BagPart part, Stream<String> texts) {
        texts.forEach(text -> names(text)
                .forEach(name -> namedBy.computeIfAbsent(name, any -> EnumSet.noneOf(BagPart.class))
                        .add(part)));
    }

    private static List<String> names(String text) {
        return NAME.matcher(text).results().map(MatchResult::group).distinct().toList();
    }

    private static Stream<String> texts(Piece piece) {
        Stream<String> shapes = piece.shapes().stream().flatMap(BagParts::texts);
        Stream<String> trimmed = piece.trimTo().stream().flatMap(trimTo -> Stream.of(trimTo.width(), trimTo.height()));
        Stream<String> own = Stream.of(piece.quantity(), piece.width(), piece.height());
        return Stream.of(own, shapes, trimmed, piece.edges().bySide().values().stream())
                .flatMap(texts -> texts);
    }

    private static Stream<String> texts(Shape shape) {
        Stream<String> drawn = shape.drawn().stream()
                .flatMap(outline -> Stream.concat(
                        Stream.of(outline.tallerAt(), outline.tallerBy()),
                        outline.points().stream().flatMap(point -> Stream.of(point.across(), point.down()))));
        return Stream.concat(Stream.of(shape.across(), shape.along()), drawn);
    }

    private static Stream<String> texts(Mark mark) {
        return Stream.of(mark.across(), mark.down(), mark.width(), mark.height());
    }

    private static Stream<String> texts(Strap strap) {
        return Stream.of(strap.width(), strap.seam(), strap.ring(), strap.shortest(), strap.longest(), strap.choice());
    }

    private static Stream<String> texts(Casing casing) {
        return Stream.of(
                casing.height(),
                casing.thickness(),
                casing.ease(),
                casing.gap(),
                casing.gapFrom(),
                casing.header(),
                casing.top());
    }

    private static Stream<String> texts(ZipFit zip) {
        return Stream.of(zip.edge(), zip.side(), zip.clearance(), zip.tab(), zip.over(), zip.covered(), zip.slider());
    }
}
