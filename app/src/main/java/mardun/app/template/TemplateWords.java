package mardun.app.template;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.LengthView;
import mardun.core.design.ClothFold;
import mardun.core.design.Design;
import mardun.core.design.MaterialSlot;
import mardun.core.design.Piece;
import mardun.core.design.PieceNotes;
import mardun.core.design.SizedPiece;
import mardun.core.measure.Length;
import mardun.core.measure.ShownRounding;
import mardun.core.measure.UnitSystem;
import mardun.core.template.JoinedTemplate;
import mardun.core.template.PlacementCard;
import mardun.core.template.ShiftedTemplate;

/** What is written on a template: of what it is, how many are cut of which cloth, how large it is, where it is sewn. */
final class TemplateWords {

    private static final int MOST_NOTES = 4;
    private static final int MOST_OTHERS = 3;

    private TemplateWords() {}

    /**
     * The words of pieces that are cut by one template.
     *
     * @param others pieces of other designs that are cut by it too
     */
    static List<String> of(
            Design design, String size, List<SizedPiece> pieces, List<String> others, ViewWriter writer) {
        List<String> words = new ArrayList<>();
        words.add(design.name() + ", " + size);
        pieces.forEach(piece -> words.add(cut(design, piece)));
        others.stream().limit(MOST_OTHERS).forEach(other -> words.add("also " + other));
        if (others.size() > MOST_OTHERS) {
            words.add("and " + (others.size() - MOST_OTHERS) + " more");
        }
        SizedPiece first = pieces.get(0);
        words.add(measures(first, writer));
        if (first.alongTemplate().isPositive()) {
            words.add("cut " + own(writer.length(first.alongTemplate(), ShownRounding.NEAREST), writer) + " along it"
                    + opened(first));
        }
        seams(first.allowances(), writer).forEach(words::add);
        PieceNotes.of(first).stream().limit(MOST_NOTES).map(writer::sentence).forEach(words::add);
        if (first.piece().directional()) {
            words.add("the arrow is up in the print");
        }
        return words;
    }

    /** The words of sizes of one piece that lie over one another. */
    static List<String> ofSizes(Design design, Map<String, SizedPiece> sizes, ViewWriter writer) {
        List<String> words = new ArrayList<>();
        words.add(design.name());
        SizedPiece first = sizes.values().iterator().next();
        words.add(cut(design, first));
        sizes.forEach((size, piece) -> words.add(size + ": " + measures(piece, writer)));
        seams(first.allowances(), writer).forEach(words::add);
        return words;
    }

    /** The words of one template that serves several sizes, in their order. */
    static List<String> ofShifted(
            Design design, Map<String, SizedPiece> sizes, ShiftedTemplate shifted, ViewWriter writer) {
        List<String> names = List.copyOf(sizes.keySet());
        SizedPiece base = sizes.get(names.get(shifted.base()));
        List<String> words = new ArrayList<>();
        words.add(design.name() + ", " + String.join(", ", names));
        words.add(cut(design, base));
        words.add(names.get(shifted.base()) + ": as it is, " + measures(base, writer));
        shifted.shifts()
                .forEach(shift -> words.add(names.get(shift.size()) + ": trace up to the line, move it "
                        + (shift.down() ? "down " : "right ")
                        + own(writer.length(shift.by(), ShownRounding.NEAREST), writer) + ", trace the rest, "
                        + measures(sizes.get(names.get(shift.size())), writer)));
        seams(base.allowances(), writer).forEach(words::add);
        return words;
    }

    /** The words of two pieces that are joined at their marks. */
    static List<String> ofJoined(
            Design design, String size, List<SizedPiece> pieces, JoinedTemplate joined, ViewWriter writer) {
        List<String> words = new ArrayList<>();
        words.add(design.name() + ", " + size);
        words.add("joined at “" + String.join("”, “", joined.marks()) + "”");
        pieces.forEach(piece -> words.add(cut(design, piece)));
        words.add(sides(
                writer.length(joined.width(), ShownRounding.UP),
                writer.length(joined.height(), ShownRounding.UP),
                writer));
        return words;
    }

    /** The words of a card to place marks by. */
    static List<String> ofCard(Design design, String size, PlacementCard card, ViewWriter writer) {
        List<String> words = new ArrayList<>();
        words.add(design.name() + ", " + size);
        words.add("on the " + card.corners().get(0).words() + " corner");
        card.corners().stream().skip(1).forEach(other -> words.add("turned over: " + other.words()));
        card.marks()
                .forEach(one -> words.add(called(one) + ": "
                        + own(writer.length(one.fromSide(), ShownRounding.NEAREST), writer) + " from the side, "
                        + own(writer.length(one.fromEnd(), ShownRounding.NEAREST), writer) + " from the "
                        + (card.corners().get(0).isTop() ? "top" : "base")));
        if (card.boxed()) {
            words.add("the corner that is boxed");
        }
        return words;
    }

    private static String called(PlacementCard.Placed one) {
        return one.mark().label().isBlank()
                ? one.mark().kind().words()
                : one.mark().label();
    }

    /** The cloth that a piece is cut from, as the design calls it. */
    static String cloth(Design design, Piece piece) {
        return design.slots().stream()
                .filter(slot -> slot.key().equals(piece.slot()))
                .map(MaterialSlot::label)
                .findFirst()
                .orElse(piece.slot());
    }

    private static String cut(Design design, SizedPiece piece) {
        return piece.piece().letter() + ": cut " + piece.count() + " of " + cloth(design, piece.piece())
                + (piece.piece().fold() == ClothFold.NONE ? "" : ", on the fold");
    }

    private static String measures(SizedPiece piece, ViewWriter writer) {
        ShownRounding rounding = piece.piece().role().outline();
        return sides(
                        writer.length(piece.width().value(), rounding),
                        writer.length(piece.height().value(), rounding),
                        writer)
                + opened(piece);
    }

    private static String sides(LengthView width, LengthView height, ViewWriter writer) {
        boolean isInch = writer.system() == UnitSystem.INCH;
        String inches = width.inch() + " × " + height.inch();
        String metric = width.metric() + " × " + height.metric();
        return isInch ? inches + " (" + metric + ")" : metric + " (" + inches + ")";
    }

    /** What is said of the whole piece, where the template is its half. */
    private static String opened(SizedPiece piece) {
        return piece.piece().fold() == ClothFold.NONE ? "" : " opened";
    }

    /** The allowances, edges that have the same together. */
    private static List<String> seams(Map<String, Length> allowances, ViewWriter writer) {
        Map<Length, List<String>> edges = new LinkedHashMap<>();
        allowances.forEach((edge, allowance) -> {
            if (allowance.isPositive()) {
                edges.computeIfAbsent(allowance, length -> new ArrayList<>()).add(edge);
            }
        });
        return edges.entrySet().stream()
                .map(one -> "seam " + own(writer.length(one.getKey(), ShownRounding.NEAREST), writer)
                        + (one.getValue().size() == 4 ? " all round" : " at " + String.join(", ", one.getValue())))
                .toList();
    }

    private static String own(LengthView length, ViewWriter writer) {
        return writer.system() == UnitSystem.INCH ? length.inch() : length.metric();
    }
}
