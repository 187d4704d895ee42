package mardun.core.design;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.Boxing;
import mardun.core.construction.Constructions;
import mardun.core.construction.Zips;
import mardun.core.formula.Formula;
import mardun.core.formula.FormulaException;
import mardun.core.formula.Scope;
import mardun.core.measure.Dimension;
import mardun.core.measure.DimensionException;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Figure;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import mardun.core.working.Working;

/** Works out one size of a design from its formulas, and finds what can't be sewn. */
public final class Sizing {

    /** A piece longer than this is surely a slip. */
    private static final Length LONGEST_PIECE = Length.of(10, LengthUnit.METRE);

    private static final Quantity NOTHING = Quantity.of(Length.ZERO);

    private final Design design;
    private final int size;
    private final Map<String, Measurement> bySymbol = new LinkedHashMap<>();
    private final Map<String, Optional<Figure<Quantity>>> known = new LinkedHashMap<>();
    private final Set<String> underWay = new LinkedHashSet<>();
    private final List<Finding> findings = new ArrayList<>();
    private final Map<String, Formula> parsed = new HashMap<>();

    private Sizing(Design design, int size) {
        this.design = design;
        this.size = size;
        design.measurements().forEach(m -> bySymbol.put(m.symbol(), m));
    }

    /**
     * The size with the given index.
     *
     * @throws IndexOutOfBoundsException if the design has no such size
     */
    public static SizedDesign of(Design design, int size) {
        return new Sizing(design, size).workOut();
    }

    private SizedDesign workOut() {
        String name = design.sizes().get(size);
        design.measurements().forEach(m -> measurement(m.symbol()));
        List<SizedPiece> pieces =
                design.pieces().stream().flatMap(p -> piece(p).stream()).toList();
        List<SizedTrim> trims =
                design.trims().stream().flatMap(t -> trim(t).stream()).toList();
        Optional<Boxed> boxed = boxed();
        Optional<Boxing.Corner> corner = boxed.filter(b -> b.depth().value().signum() > 0)
                .map(b -> Boxing.corner(design.boxed().school(), b.depth(), b.seams()));
        Optional<Finished> finished =
                boxed.flatMap(b -> find(pieces, design.boxed().outer()).map(outer -> finished(b, outer)));
        boxed.ifPresent(b -> checkBoxing(b, corner, finished, pieces));
        checkBacking(pieces);
        checkOpening(trims);
        Map<String, Figure<Quantity>> measurements = new LinkedHashMap<>();
        known.forEach((symbol, figure) -> figure.ifPresent(f -> measurements.put(symbol, f)));
        return new SizedDesign(name, measurements, pieces, trims, corner, finished, List.copyOf(findings));
    }

    /** A measurement, worked out once; empty if it can't be, which is then among the findings. */
    private Optional<Figure<Quantity>> measurement(String symbol) {
        if (known.containsKey(symbol)) {
            return known.get(symbol);
        }
        Measurement measurement = bySymbol.get(symbol);
        underWay.add(symbol);
        Optional<Figure<Quantity>> figure =
                evaluate("measurements." + symbol, measurement.valueFor(size)).filter(f -> isUsable(measurement, f));
        underWay.remove(symbol);
        known.put(symbol, figure);
        return figure;
    }

    private boolean isUsable(Measurement measurement, Figure<Quantity> figure) {
        Quantity value = figure.value();
        String place = "measurements." + measurement.symbol();
        if (value.dimension() != Dimension.LENGTH) {
            findings.add(Finding.refused(
                    place,
                    Sentence.of("“" + measurement.valueFor(size) + "” is "
                            + value.dimension().words() + ", and " + measurement.label() + " is a length."),
                    Sentence.of("Give it a unit, like 1/4 in or 6 mm.")));
            return false;
        }
        if (value.value().signum() < 0) {
            findings.add(Finding.refused(
                    place,
                    Sentence.of(measurement.label() + " comes to {0}, less than nothing.", Value.of(value)),
                    Sentence.of("Make it zero or more.")));
            return false;
        }
        if (value.compare(Quantity.of(LONGEST_PIECE)) > 0) {
            findings.add(Finding.refused(
                    place,
                    Sentence.of(measurement.label() + " comes to {0}, longer than any cloth.", Value.of(value)),
                    Sentence.of("Check the unit.")));
            return false;
        }
        return true;
    }

    private Optional<SizedPiece> piece(Piece piece) {
        ShownRounding rounding = piece.role().outline();
        Optional<Figure<Length>> width =
                side("pieces." + piece.letter() + ".width", piece.name() + ": the width", piece.width(), rounding);
        Optional<Figure<Length>> height =
                side("pieces." + piece.letter() + ".height", piece.name() + ": the height", piece.height(), rounding);
        return width.flatMap(w -> height.map(h -> new SizedPiece(piece, w, h)));
    }

    private Optional<SizedTrim> trim(TrimNeed trim) {
        return side("trims." + trim.slot(), trim.name() + ": the length", trim.length(), ShownRounding.NEAREST)
                .map(length -> new SizedTrim(trim, length));
    }

    private Optional<Figure<Length>> side(String place, String what, String formula, ShownRounding rounding) {
        return evaluate(place, formula).flatMap(figure -> {
            try {
                Length length = figure.value().toLength(rounding);
                if (!length.isPositive()) {
                    findings.add(Finding.refused(
                            place,
                            Sentence.of(what + " comes to {0}; nothing can be cut like that.", Value.of(length)),
                            Sentence.of("Make the bag larger, or the allowances smaller.")));
                    return Optional.empty();
                }
                if (length.isLongerThan(LONGEST_PIECE)) {
                    findings.add(Finding.refused(
                            place,
                            Sentence.of(what + " comes to {0}, longer than any cloth.", Value.of(length)),
                            Sentence.of("Check the unit of the measurements.")));
                    return Optional.empty();
                }
                return Optional.of(new Figure<>(length, figure.working()));
            } catch (DimensionException unlike) {
                findings.add(Finding.refused(
                        place,
                        Sentence.of("“" + formula + "” " + unlike.getMessage() + "."),
                        Sentence.of("Change the formula.")));
                return Optional.empty();
            }
        });
    }

    /** A formula worked out; empty if it can't be, with the reason among the findings unless it was told already. */
    private Optional<Figure<Quantity>> evaluate(String place, String text) {
        try {
            Formula formula = parsed.computeIfAbsent(text, t -> Formula.parse(t, Constructions.BY_NAME));
            for (String name : formula.names()) {
                if (underWay.contains(name)) {
                    throw new FormulaException("goes in a circle: "
                            + circle(name).stream().map(this::label).collect(Collectors.joining(" → ")));
                }
                if (bySymbol.containsKey(name) && measurement(name).isEmpty()) {
                    return Optional.empty();
                }
            }
            return Optional.of(formula.evaluate(scope()));
        } catch (FormulaException bad) {
            findings.add(Finding.refused(
                    place,
                    Sentence.of("“" + text + "” " + bad.getMessage() + "."),
                    Sentence.of("Type a length like 1/4 in or 6 mm, or a formula over the measurements.")));
            return Optional.empty();
        }
    }

    private List<String> circle(String name) {
        List<String> chain = new ArrayList<>(underWay);
        List<String> circle = new ArrayList<>(chain.subList(chain.indexOf(name), chain.size()));
        circle.add(name);
        return circle;
    }

    private String label(String symbol) {
        return bySymbol.get(symbol).label();
    }

    private Scope scope() {
        return symbol -> Optional.ofNullable(bySymbol.get(symbol))
                .flatMap(m -> measurement(symbol)
                        .map(figure -> new Scope.Entry(
                                m.label(),
                                figure.value(),
                                isEntered(m) ? Optional.empty() : Optional.of(figure.working()))));
    }

    private boolean isEntered(Measurement measurement) {
        return parsed.get(measurement.valueFor(size)).isLiteral();
    }

    /** The seams and the depth that the boxing needs, worked out. */
    private record Boxed(Quantity depth, Boxing.Seams seams, Quantity top, Quantity shows) {}

    private Optional<Boxed> boxed() {
        BoxedBag bag = design.boxed();
        Optional<Quantity> depth = length(bag.depth());
        Optional<Quantity> side = length(bag.sideSeam());
        Optional<Quantity> base = bag.base() == BaseEdge.FOLD ? Optional.of(NOTHING) : length(bag.baseSeam());
        Optional<Quantity> boxing = length(bag.boxingSeam());
        Optional<Quantity> top = length(bag.topSeam());
        Optional<Quantity> shows = length(bag.zipShows());
        if (depth.isEmpty()
                || side.isEmpty()
                || base.isEmpty()
                || boxing.isEmpty()
                || top.isEmpty()
                || shows.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                new Boxed(depth.get(), new Boxing.Seams(side.get(), base.get(), boxing.get()), top.get(), shows.get()));
    }

    private Optional<Quantity> length(String formula) {
        return evaluate("boxed", formula).map(Figure::value).filter(q -> q.dimension() == Dimension.LENGTH);
    }

    private Finished finished(Boxed boxed, SizedPiece panel) {
        Quantity measured = Boxing.corner(design.boxed().school(), boxed.depth(), boxed.seams())
                .fromSide()
                .value();
        Figure<Quantity> depth = boxed.depth().value().signum() == 0
                ? new Figure<>(
                        NOTHING,
                        Working.of("A bag without boxed corners is flat.").gives(Value.of(NOTHING)))
                : Boxing.depth(
                        design.boxed().school(),
                        measured,
                        boxed.seams().side(),
                        boxed.seams().boxing());
        Quantity panelWidth = Quantity.of(panel.width().value());
        Quantity panelHeight = Quantity.of(panel.height().value());
        Figure<Quantity> width = Boxing.finishedWidth(panelWidth, boxed.seams().side(), depth.value());
        Figure<Quantity> panelFinished = Boxing.finishedHeight(
                design.boxed().base(), panelHeight, boxed.top(), boxed.seams().base(), depth.value());
        return new Finished(width, Zips.withZip(panelFinished, boxed.shows()), depth);
    }

    private void checkBoxing(
            Boxed boxed, Optional<Boxing.Corner> corner, Optional<Finished> finished, List<SizedPiece> pieces) {
        corner.ifPresent(c -> checkCorner(c, boxed, pieces));
        finished.ifPresent(f -> {
            checkPositive("The finished base width", f.width());
            checkPositive("The finished height", f.height());
            find(pieces, design.boxed().lining()).ifPresent(lining -> checkLining(boxed, f, lining));
        });
    }

    private void checkCorner(Boxing.Corner corner, Boxed boxed, List<SizedPiece> pieces) {
        if (corner.school().isCutOut()) {
            checkCutOut("side", corner.fromSide().value(), boxed.seams().side());
            checkCutOut("base", corner.fromBase().value(), boxed.seams().base());
        } else if (corner.fromSide().value().value().signum() <= 0) {
            findings.add(Finding.refused(
                    "measurements.depth",
                    Sentence.of(
                            "A depth of {0} leaves nothing to cut out beside a boxing seam of {1}.",
                            Value.of(boxed.depth()), Value.of(boxed.seams().boxing())),
                    Sentence.of("Make the depth more than twice the boxing seam, or 0 for a flat bag.")));
        }
        for (SizedPiece sized : pieces) {
            if (sized.piece().boxed() && corner.school().isCutOut()) {
                checkRoom(
                        sized, "width", corner.fromSide().value(), sized.width().value(), 2);
                int alongHeight = design.boxed().base() == BaseEdge.FOLD ? 2 : 1;
                checkRoom(
                        sized,
                        "height",
                        corner.fromBase().value(),
                        sized.height().value(),
                        alongHeight);
            }
        }
    }

    private void checkCutOut(String edge, Quantity cutOut, Quantity allowance) {
        if (cutOut.compare(allowance) < 0 || cutOut.value().signum() <= 0) {
            findings.add(Finding.refused(
                    "measurements.depth",
                    Sentence.of(
                            "The corner's cut-out from the " + edge + " comes to {0}, smaller than its allowance of"
                                    + " {1}: it can't be sewn.",
                            Value.of(cutOut),
                            Value.of(allowance)),
                    Sentence.of("Make the depth larger or the boxing seam narrower, or 0 deep for a flat bag.")));
        }
    }

    private void checkRoom(SizedPiece sized, String direction, Quantity cutOut, Length side, int corners) {
        Quantity taken = cutOut.times(Quantity.of(corners));
        if (taken.compare(Quantity.of(side)) >= 0) {
            findings.add(Finding.refused(
                    "pieces." + sized.piece().letter() + "." + direction,
                    Sentence.of(
                            sized.piece().name() + ": the corners' cut-outs of {0} meet in a " + direction + " of {1}.",
                            Value.of(cutOut),
                            Value.of(side)),
                    Sentence.of("Make the bag larger or less deep.")));
        }
    }

    private void checkPositive(String what, Figure<Quantity> figure) {
        if (figure.value().value().signum() <= 0) {
            findings.add(Finding.refused(
                    "boxed",
                    Sentence.of(what + " comes to {0}: there is no such bag.", Value.of(figure.value())),
                    Sentence.of("Make the bag larger, or less deep, or the seams narrower.")));
        }
    }

    private void checkLining(Boxed boxed, Finished outer, SizedPiece lining) {
        Finished inner = finished(boxed, lining);
        if (!inner.width().value().equals(outer.width().value())
                || !inner.height().value().equals(outer.height().value())) {
            findings.add(Finding.care(
                    "pieces." + lining.piece().letter(),
                    Sentence.of(
                            "The lining finishes at {0} × {1}, the outer at {2} × {3}.",
                            Value.of(inner.width().value()),
                            Value.of(inner.height().value()),
                            Value.of(outer.width().value()),
                            Value.of(outer.height().value())),
                    Sentence.of("Cut both panels alike, unless the lining's seams are sewn wider.")));
        }
    }

    private void checkBacking(List<SizedPiece> pieces) {
        for (SizedPiece sized : pieces) {
            sized.piece().backs().flatMap(letter -> find(pieces, letter)).ifPresent(backed -> {
                if (sized.width().value().isLongerThan(backed.width().value())
                        || sized.height().value().isLongerThan(backed.height().value())) {
                    findings.add(Finding.care(
                            "pieces." + sized.piece().letter(),
                            Sentence.of(
                                    sized.piece().name() + ", {0} × {1}, is larger than "
                                            + backed.piece().name() + ", {2} × {3}.",
                                    Value.of(sized.width().value()),
                                    Value.of(sized.height().value()),
                                    Value.of(backed.width().value()),
                                    Value.of(backed.height().value())),
                            Sentence.of("Cut interfacing no larger than the piece it backs.")));
                }
            });
        }
    }

    private void checkOpening(List<SizedTrim> trims) {
        for (SizedTrim sized : trims) {
            Length length = sized.length().value();
            if (Zips.NARROW_FOR_A_HAND.isLongerThan(length)) {
                findings.add(Finding.care(
                        "trims." + sized.trim().slot(),
                        Sentence.of(sized.trim().name() + " of {0} opens too little for a hand.", Value.of(length)),
                        Sentence.of("From {0} on a hand goes in easily.", Value.of(Zips.NARROW_FOR_A_HAND))));
            }
        }
    }

    private static Optional<SizedPiece> find(List<SizedPiece> pieces, String letter) {
        return pieces.stream().filter(p -> p.piece().letter().equals(letter)).findFirst();
    }
}
