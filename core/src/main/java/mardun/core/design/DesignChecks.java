package mardun.core.design;

import java.util.Comparator;
import java.util.Optional;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.Boxing;
import mardun.core.construction.BoxingSchool;
import mardun.core.construction.Gussets;
import mardun.core.construction.RoundBases;
import mardun.core.construction.Zips;
import mardun.core.material.ClothKind;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Figure;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/** Looks a worked-out size over: what can't be sewn is refused, what looks wrong is told with its place and its reason. */
final class DesignChecks {

    /** Two measures that differ by less than this are sewn together without a thought. */
    static final Length NEAR = Length.of(1, 16, LengthUnit.INCH);

    /** Through a turning gap three fingers reach in; what is small is turned through a third of its width. */
    private static final Length THREE_FINGERS = Length.of(6, LengthUnit.CENTIMETRE);

    private final Design design;
    private final SizedDesign sized;
    private final Measures measures;
    private final Findings findings;

    DesignChecks(Design design, SizedDesign sized, Measures measures, Findings findings) {
        this.design = design;
        this.sized = sized;
        this.measures = measures;
        this.findings = findings;
    }

    void all(Length thickestSeam) {
        form();
        printAtFold();
        lining();
        cornersAlike();
        trimmed();
        interfacing();
        openings();
        new FittingChecks(design, sized, measures, findings).all();
        new MarkChecks(design, sized, findings).all();
        new StepChecks(design, sized, findings).all(thickestSeam);
    }

    private void form() {
        sized.corner().ifPresent(corner -> {
            BoxedBag bag = (BoxedBag) design.form();
            Sewn sewn = sized.sewn().orElse(null);
            if (sewn != null) {
                corner(bag, corner, sewn);
            }
        });
        sized.finished().ifPresent(finished -> {
            positive("The finished width", finished.width());
            positive("The finished height", finished.height());
            wished(FormMeasure.WISHED_WIDTH, "width", design.wished().width(), finished.width(), finished.across());
            wished(FormMeasure.WISHED_HEIGHT, "height", design.wished().height(), finished.height(), Optional.empty());
        });
        if (design.form() instanceof BoxedBag bag) {
            foldedTwice(bag);
            faces(bag);
            sized.sewn().ifPresent(sewn -> snipped(bag, sewn));
        }
        turningGaps();
        if (design.form() instanceof GussetedBag bag) {
            sized.sewn().ifPresent(sewn -> gusset(bag, sewn));
        }
        if (design.form() instanceof RoundBag bag) {
            sized.sewn().ifPresent(sewn -> roundBase(bag, sewn));
        }
    }

    /** A measure that was wished must be what comes out, or what the form measures across the top. */
    private void wished(
            FormMeasure measure,
            String what,
            String formula,
            Figure<Quantity> finished,
            Optional<Figure<Quantity>> across) {
        String place = "form." + measure.key();
        if (formula.isBlank()) {
            return;
        }
        measures.length(place, formula)
                .filter(wished -> !near(wished, finished.value()))
                .filter(wished ->
                        across.filter(top -> near(wished, top.value())).isEmpty())
                .ifPresent(wished -> findings.care(
                        Check.WISHED,
                        place,
                        Sentence.of(
                                "Wished is a {0} of {1}, and the pieces as they are cut make {2}.",
                                Value.of(what), Value.of(wished), Value.of(finished.value())),
                        Sentence.of("Cut the pieces for what is wished, or wish what they make.")));
    }

    /** One piece that goes round a bag is open below: it has a base seam. */
    private void foldedTwice(BoxedBag bag) {
        if (bag.sides().isRound() && bag.base() == BaseEdge.FOLD) {
            findings.refuse(
                    "form.base",
                    Sentence.of("One piece that goes round the bag can't be folded at its base as well."),
                    Sentence.of("Sew its base with a seam, or join the sides with a seam each."));
        }
    }

    /** A front and a back that are cut apart are joined all round, so they have to be alike. */
    private void faces(BoxedBag bag) {
        Optional<Extent> front = bag.outer().flatMap(sized::extent);
        Optional<Extent> back = bag.back().flatMap(sized::extent);
        if (front.isEmpty() || back.isEmpty()) {
            return;
        }
        differ("wide", back.get().width(), front.get().width());
        differ("high", back.get().height(), front.get().height());
    }

    private void differ(String what, Length back, Length front) {
        if (!near(Quantity.of(back), Quantity.of(front))) {
            findings.care(
                    Check.FACES_MATCH,
                    "form.other",
                    Sentence.of(
                            "The back is {0} " + what + " where it is sewn, and the front {1}.",
                            Value.of(back),
                            Value.of(front)),
                    Sentence.of("Cut both alike, or trim one to the other."));
        }
    }

    /** Snipped to its stitching, a corner is as deep as twice the seam that closes it, whatever is wished. */
    private void snipped(BoxedBag bag, Sewn sewn) {
        Quantity depth = sewn.get(FormMeasure.DEPTH);
        Quantity seam = sewn.get(FormMeasure.BOXING);
        Quantity made = seam.times(Quantity.of(2));
        if (bag.school() == BoxingSchool.SNIPPED && seam.value().signum() > 0 && !near(depth, made)) {
            findings.care(
                    Check.CORNER_CUT,
                    depthPlace(bag),
                    Sentence.of(
                            "Snipped to the stitching, a boxing seam of {0} makes a depth of {1}, and {2} is meant.",
                            Value.of(seam), Value.of(made), Value.of(depth)),
                    Sentence.of("Sew the corners with half the depth, or make the bag as deep as twice the seam."));
        }
    }

    /** Bag, hand and all that is stiff go through the gap when it is turned. */
    private void turningGaps() {
        Optional<SizedPiece> stiffest = sized.pieces().stream()
                .filter(piece -> design.clothOf(piece.piece().slot())
                        .filter(ClothKind::isStiff)
                        .isPresent())
                .max(Comparator.comparing(DesignChecks::narrowSide));
        sized.pieces().stream()
                .filter(piece -> design.casings().isEmpty() || piece.piece().role() == Role.LINING)
                .forEach(piece -> gaps(piece, "pieces." + piece.piece().letter(), stiffest));
    }

    /** The gaps of a piece; where there is a casing, those of the outer are for its cord. */
    private void gaps(SizedPiece piece, String place, Optional<SizedPiece> stiffest) {
        Length third = new Length(narrowSide(piece).nanometres() / 3);
        Length least = third.isLongerThan(THREE_FINGERS) ? THREE_FINGERS : third;
        for (SizedMark mark : piece.marks()) {
            Length open = mark.width().max(mark.height());
            if (mark.mark().kind() != Mark.Kind.GAP || !open.isPositive()) {
                continue;
            }
            String at = place + ".marks." + mark.mark().label();
            if (least.isLongerThan(open)) {
                findings.care(
                        Check.TURNING_GAP,
                        at,
                        Sentence.of(
                                "“{0}” is {1} long, too little for a hand that turns the bag.",
                                Value.of(mark.mark().label()), Value.of(open)),
                        Sentence.of("From {0} on it is turned easily.", Value.of(least)));
            }
            stiffest.filter(stiff -> narrowSide(stiff).isLongerThan(open.times(2)))
                    .ifPresent(stiff -> findings.care(
                            Check.TURNING_GAP,
                            at,
                            Sentence.of(
                                    "“{0}” is {1} long, and {2}, the stiffest part, is {3} wide: folded once it doesn't go through.",
                                    Value.of(mark.mark().label()),
                                    Value.of(open),
                                    Value.of(stiff.piece().name()),
                                    Value.of(narrowSide(stiff))),
                            Sentence.of("Leave half of its width open, or put it in after turning.")));
        }
    }

    private static Length narrowSide(SizedPiece piece) {
        Extent extent = piece.sewnExtent();
        return extent.width().isLongerThan(extent.height()) ? extent.height() : extent.width();
    }

    /** A one-way print on a panel folded at its base stands on its head behind. */
    private void printAtFold() {
        boolean folded = design.form() instanceof FoldedSideBag
                || (design.form() instanceof BoxedBag bag && bag.base() == BaseEdge.FOLD);
        design.form()
                .outer()
                .filter(outer -> folded)
                .flatMap(sized::piece)
                .filter(piece -> piece.piece().directional())
                .ifPresent(piece -> findings.care(
                        Check.PRINT_AT_FOLD,
                        "pieces." + piece.piece().letter(),
                        Sentence.of(
                                "{0} is kept upright and folded at its base: behind, the print stands on its head.",
                                Value.of(piece.piece().name())),
                        Sentence.of("Join two panels at the base instead, or take a cloth without a direction.")));
    }

    private void corner(BoxedBag bag, Boxing.Corner corner, Sewn sewn) {
        if (corner.school().isCutOut()) {
            cutOut(bag, "side", corner.fromSide().value(), sewn.get(FormMeasure.SIDE));
            cutOut(bag, "base", corner.fromBase().value(), sewn.get(FormMeasure.BASE));
        } else if (corner.fromSide().value().value().signum() <= 0) {
            findings.refuse(
                    depthPlace(bag),
                    Sentence.of(
                            "A depth of {0} leaves nothing to cut out beside a boxing seam of {1}.",
                            Value.of(sewn.get(FormMeasure.DEPTH)), Value.of(sewn.get(FormMeasure.BOXING))),
                    Sentence.of("Make the depth more than twice the boxing seam, or 0 for a flat bag."));
        }
        for (SizedPiece piece : sized.pieces()) {
            if (piece.piece().boxed() && corner.school().isCutOut()) {
                int alongHeight = bag.base() == BaseEdge.FOLD ? 2 : 1;
                room(
                        piece,
                        "width",
                        corner.fromSide().value(),
                        piece.width().value(),
                        bag.sides().isRound() ? 4 : 2);
                room(piece, "height", corner.fromBase().value(), piece.height().value(), alongHeight);
            }
            ownCutOut(bag, corner, piece, sewn);
        }
    }

    /** Where the maker types the depth: a measurement, if the form just names one. */
    private String depthPlace(BoxedBag bag) {
        boolean named = design.measurements().stream()
                .anyMatch(m -> m.symbol().equals(bag.depth().strip()));
        return named ? "measurements." + bag.depth().strip() : "form.depth";
    }

    private void cutOut(BoxedBag bag, String edge, Quantity cutOut, Quantity allowance) {
        if (cutOut.compare(allowance) < 0 || cutOut.value().signum() <= 0) {
            findings.refuse(
                    depthPlace(bag),
                    Sentence.of(
                            "The corner's cut-out from the {0} comes to {1}, smaller than its allowance of {2}: it can't be sewn.",
                            Value.of(edge), Value.of(cutOut), Value.of(allowance)),
                    Sentence.of("Make the depth larger or the boxing seam narrower, or 0 deep for a flat bag."));
        }
    }

    private void room(SizedPiece piece, String direction, Quantity cutOut, Length side, int corners) {
        if (cutOut.times(Quantity.of(corners)).compare(Quantity.of(side)) >= 0) {
            findings.refuse(
                    "pieces." + piece.piece().letter() + "." + direction,
                    Sentence.of(
                            "{0}: the corners' cut-outs of {1} meet in a {2} of {3}.",
                            Value.of(piece.piece().name()), Value.of(cutOut), Value.of(direction), Value.of(side)),
                    Sentence.of("Make the bag larger or less deep."));
        }
    }

    /** A cut-out that the maker measured, on a panel of the bag, must be the one that the depth asks for. */
    private void ownCutOut(BoxedBag bag, Boxing.Corner corner, SizedPiece piece, Sewn sewn) {
        boolean ofTheBag = bag.outer().filter(piece.piece().letter()::equals).isPresent()
                || bag.lining().filter(piece.piece().letter()::equals).isPresent();
        Optional<Shape> shape = piece.piece().ownCorners();
        if (!ofTheBag || piece.piece().boxed() || shape.isEmpty()) {
            return;
        }
        String place = "pieces." + piece.piece().letter() + ".shapes";
        Optional<Quantity> across = measures.length(place, shape.get().across());
        Optional<Quantity> along = measures.length(place, shape.get().along());
        if (across.isEmpty() || along.isEmpty()) {
            return;
        }
        boolean right = across.get().equals(corner.fromSide().value())
                && along.get().equals(corner.fromBase().value());
        if (right) {
            return;
        }
        Sentence remedy = Sentence.of(
                "For this depth cut out {0} from the side and {1} from the base.",
                Value.of(corner.fromSide().value()), Value.of(corner.fromBase().value()));
        if (across.get().equals(along.get()) && bag.base() == BaseEdge.FOLD) {
            findings.care(
                    Check.CORNER_CUT,
                    place,
                    Sentence.of(
                            "A square of {0} at a base that is a fold: a fold has no allowance, so the two layers come"
                                    + " out unequal by {1}.",
                            Value.of(across.get()),
                            Value.of(sewn.get(FormMeasure.SIDE).times(Quantity.of(2)))),
                    remedy);
        } else {
            findings.care(
                    Check.CORNER_CUT,
                    place,
                    Sentence.of(
                            "Cut-outs of {0} by {1} don't make a bag {2} deep.",
                            Value.of(across.get()), Value.of(along.get()), Value.of(sewn.get(FormMeasure.DEPTH))),
                    remedy);
        }
    }

    private void positive(String what, Figure<Quantity> figure) {
        if (figure.value().value().signum() <= 0) {
            findings.refuse(
                    "form",
                    Sentence.of("{0} comes to {1}: there is no such bag.", Value.of(what), Value.of(figure.value())),
                    Sentence.of("Make the bag larger, or less deep, or the seams narrower."));
        }
    }

    private void gusset(GussetedBag bag, Sewn sewn) {
        Finished finished = bag.finish(sewn);
        Quantity wanted = Gussets.length(
                        finished.width().value(),
                        finished.height().value(),
                        sewn.get(FormMeasure.RADIUS),
                        sewn.get(FormMeasure.END))
                .value();
        Quantity strip = GussetedBag.longer(sewn.other().orElseThrow());
        if (!near(wanted, strip)) {
            findings.care(
                    Check.GUSSET_LENGTH,
                    "form.gusset",
                    Sentence.of(
                            "The gusset is {0} long, and the way round a face takes {1}.",
                            Value.of(strip), Value.of(wanted)),
                    Sentence.of("Cut it to that length, or change the radius of the corners."));
        }
    }

    private void roundBase(RoundBag bag, Sewn sewn) {
        Quantity base = sewn.other().orElseThrow().width();
        Quantity round = base.minus(sewn.get(FormMeasure.BASE).times(Quantity.of(2)));
        Quantity body =
                RoundBases.diameter(sewn.width(), sewn.get(FormMeasure.SIDE)).value();
        if (!near(round, body)) {
            findings.care(
                    Check.ROUND_BASE,
                    "pieces." + bag.base(),
                    Sentence.of(
                            "The base finishes {0} across, and the body goes round {1}.",
                            Value.of(round), Value.of(body)),
                    Sentence.of("Cut the base or the body so that both agree."));
        }
    }

    static boolean near(Quantity one, Quantity other) {
        return one.minus(other).value().abs().compareTo(NEAR.exact()) <= 0;
    }

    private void lining() {
        Optional<Extent> outer = design.form().outer().flatMap(sized::extent);
        Optional<Extent> lining = design.form().lining().flatMap(sized::extent);
        if (outer.isEmpty() || lining.isEmpty() || sized.sewn().isEmpty()) {
            return;
        }
        Sewn sewn = sized.sewn().get();
        Quantity width = Quantity.of(lining.get().width());
        Quantity height = Quantity.of(lining.get().height())
                .minus(sewn.get(FormMeasure.RIM_BAND).times(Quantity.of(2)));
        if (sewn.has(FormMeasure.LINING_SEAM)) {
            liningWithItsOwnSeams(sewn, outer.get(), width, height);
            return;
        }
        boolean alike = width.equals(Quantity.of(outer.get().width()))
                && height.equals(Quantity.of(outer.get().height()));
        if (!alike) {
            findings.care(
                    Check.PANELS_MATCH,
                    "form.lining",
                    design.form() instanceof FreeForm
                            ? Sentence.of(
                                    "The lining is cut {0} × {1}, the outer {2} × {3}.",
                                    Value.of(lining.get().width()),
                                    Value.of(lining.get().height()),
                                    Value.of(outer.get().width()),
                                    Value.of(outer.get().height()))
                            : finishedOtherwise(sewn, width, height),
                    Sentence.of("Cut both panels alike, or say how wide the lining's seams are sewn."));
        }
    }

    /**
     * A lining that is sewn with wider seams than the outer is cut like it, so that it sits inside without creases, or larger by
     * as much as its seams are wider, so that it fills the outer; or between the two.
     */
    private void liningWithItsOwnSeams(Sewn sewn, Extent outer, Quantity width, Quantity height) {
        Quantity seam = sewn.get(FormMeasure.LINING_SEAM);
        Quantity sides =
                seam.minus(sewn.first(FormMeasure.SIDE, FormMeasure.END).orElse(seam));
        boolean isRound = design.form() instanceof GussetedBag;
        Quantity bottom =
                seam.minus((isRound ? sewn.first(FormMeasure.SIDE) : sewn.first(FormMeasure.BASE)).orElse(seam));
        Quantity alikeWide = Quantity.of(outer.width());
        Quantity alikeHigh = Quantity.of(outer.height());
        Quantity fullWide = alikeWide.plus(sides.times(Quantity.of(2)));
        Quantity fullHigh = alikeHigh.plus(bottom);
        if (!isBetween(width, alikeWide, fullWide) || !isBetween(height, alikeHigh, fullHigh)) {
            findings.care(
                    Check.PANELS_MATCH,
                    "form.lining",
                    Sentence.of(
                            "With seams of {0} the lining is cut from {1} × {2} to {3} × {4}, and here it is {5} × {6}.",
                            Value.of(seam),
                            Value.of(alikeWide),
                            Value.of(alikeHigh),
                            Value.of(fullWide),
                            Value.of(fullHigh),
                            Value.of(width),
                            Value.of(height)),
                    Sentence.of("Cut it like the outer, or larger by as much as its seams are wider."));
        }
    }

    private static boolean isBetween(Quantity one, Quantity end, Quantity otherEnd) {
        boolean inOrder = end.compare(otherEnd) <= 0;
        Quantity least = inOrder ? end : otherEnd;
        Quantity most = inOrder ? otherEnd : end;
        return (one.compare(least) >= 0 || near(one, least)) && (one.compare(most) <= 0 || near(one, most));
    }

    /** Corners that are cut out of outer and lining by hand must be alike, or one is deeper than the other. */
    private void cornersAlike() {
        Optional<SizedPiece> outer = design.form().outer().flatMap(sized::piece).filter(DesignChecks::hasOwnCorners);
        Optional<SizedPiece> lining =
                design.form().lining().flatMap(sized::piece).filter(DesignChecks::hasOwnCorners);
        if (outer.isEmpty() || lining.isEmpty()) {
            return;
        }
        Optional<Extent> ofOuter = cutOut(outer.get());
        Optional<Extent> ofLining = cutOut(lining.get());
        if (ofOuter.isPresent() && ofLining.isPresent() && !ofOuter.equals(ofLining)) {
            findings.care(
                    Check.PANELS_MATCH,
                    "pieces." + lining.get().piece().letter() + ".shapes",
                    Sentence.of(
                            "The lining's corners are cut out {0} × {1}, the outer's {2} × {3}: they won't be equally deep.",
                            Value.of(ofLining.get().width()),
                            Value.of(ofLining.get().height()),
                            Value.of(ofOuter.get().width()),
                            Value.of(ofOuter.get().height())),
                    Sentence.of("Cut the corners of both alike."));
        }
    }

    private static boolean hasOwnCorners(SizedPiece piece) {
        return !piece.piece().boxed() && piece.piece().ownCorners().isPresent();
    }

    private Optional<Extent> cutOut(SizedPiece piece) {
        return piece.shapes().stream()
                .filter(shape -> shape.kind() == Shape.Kind.CORNERS_CUT && shape.isAt(false))
                .findFirst()
                .map(shape -> new Extent(shape.across(), shape.along()));
    }

    private Sentence finishedOtherwise(Sewn sewn, Quantity width, Quantity height) {
        Finished inner = design.form().finish(sewn.cut(width, height));
        Finished outer = sized.finished().orElseThrow();
        return Sentence.of(
                "The lining finishes at {0} × {1}, the outer at {2} × {3}.",
                Value.of(inner.width().value()),
                Value.of(inner.height().value()),
                Value.of(outer.width().value()),
                Value.of(outer.height().value()));
    }

    private void trimmed() {
        sized.pieces()
                .forEach(piece -> piece.trimTo()
                        .ifPresent(to -> trimmed(
                                "pieces." + piece.piece().letter() + ".trimTo",
                                piece.piece().name(),
                                piece.extent(),
                                to)));
        sized.panels()
                .forEach(panel -> panel.trimTo()
                        .ifPresent(to -> trimmed(
                                "panels." + panel.panel().letter() + ".trimTo",
                                panel.panel().name(),
                                new Extent(panel.width().value(), panel.height().value()),
                                to)));
    }

    private void trimmed(String place, String name, Extent cut, Extent to) {
        if (to.width().isLongerThan(cut.width()) || to.height().isLongerThan(cut.height())) {
            findings.care(
                    Check.TRIM_TO,
                    place,
                    Sentence.of(
                            "{0} is {1} × {2} and shall be trimmed to {3} × {4}, which is larger.",
                            Value.of(name),
                            Value.of(cut.width()),
                            Value.of(cut.height()),
                            Value.of(to.width()),
                            Value.of(to.height())),
                    Sentence.of("Cut it larger than what it is trimmed to."));
        }
    }

    private void interfacing() {
        for (SizedPiece piece : sized.pieces()) {
            piece.piece().backs().flatMap(this::asCut).ifPresent(backed -> {
                if (piece.width().value().isLongerThan(backed.width())
                        || piece.height().value().isLongerThan(backed.height())) {
                    findings.care(
                            Check.INTERFACING_SIZE,
                            "pieces." + piece.piece().letter(),
                            Sentence.of(
                                    "{0}, {1} × {2}, is larger than {3}, {4} × {5}.",
                                    Value.of(piece.piece().name()),
                                    Value.of(piece.width().value()),
                                    Value.of(piece.height().value()),
                                    Value.of(piece.piece()
                                            .backs()
                                            .flatMap(sized::nameOf)
                                            .orElseThrow()),
                                    Value.of(backed.width()),
                                    Value.of(backed.height())),
                            Sentence.of("Cut interfacing no larger than the piece it backs."));
                }
            });
        }
    }

    /** As a piece is when it is backed: a quilted one is trimmed afterwards. */
    private Optional<Extent> asCut(String letter) {
        return sized.piece(letter).map(SizedPiece::extent).or(() -> sized.extent(letter));
    }

    private void openings() {
        for (SizedTrim trim : sized.trims()) {
            if (trim.trim().kind() != TrimNeed.Kind.ZIP) {
                continue;
            }
            Length opening = Optional.ofNullable(
                            sized.openings().get(trim.trim().letter()))
                    .map(figure -> figure.value().toLength(ShownRounding.DOWN))
                    .orElse(trim.length().value());
            if (Zips.NARROW_FOR_A_HAND.isLongerThan(opening)) {
                findings.care(
                        Check.OPENING,
                        "trims." + trim.trim().letter(),
                        Sentence.of(
                                "{0} opens {1}, too little for a hand.",
                                Value.of(trim.trim().name()), Value.of(opening)),
                        Sentence.of("From {0} on a hand goes in easily.", Value.of(Zips.NARROW_FOR_A_HAND)));
            }
        }
    }
}
