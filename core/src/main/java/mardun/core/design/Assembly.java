package mardun.core.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Figure;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import mardun.core.working.Working;

/**
 * Puts panels together from their parts: along the panel's direction its size is the sum of the parts, less an allowance
 * on each side of each join, plus what shows of the zips.
 */
final class Assembly {

    /** Works the marks of a panel out. */
    @FunctionalInterface
    interface Marks {
        List<SizedMark> of(String place, List<Mark> marks, Extent extent, Map<String, Length> allowances);
    }

    private static final int NOTHING_BEFORE = -1;

    private final Measures measures;
    private final Findings findings;
    private final Map<String, SizedPiece> pieces;
    private final Marks marks;
    private final Map<String, Panel> byLetter = new LinkedHashMap<>();
    private final Map<String, Optional<SizedPanel>> known = new LinkedHashMap<>();
    private final Set<String> underWay = new LinkedHashSet<>();

    Assembly(Measures measures, Findings findings, Map<String, SizedPiece> pieces, Marks marks) {
        this.measures = measures;
        this.findings = findings;
        this.pieces = pieces;
        this.marks = marks;
    }

    List<SizedPanel> panels(List<Panel> panels) {
        panels.forEach(panel -> byLetter.put(panel.letter(), panel));
        return panels.stream().flatMap(p -> panel(p.letter()).stream()).toList();
    }

    /** The size with which a piece or a panel is sewn. */
    Optional<Extent> extent(String letter) {
        return Optional.ofNullable(pieces.get(letter))
                .map(SizedPiece::sewnExtent)
                .or(() -> byLetter.containsKey(letter) ? panel(letter).map(SizedPanel::sewnExtent) : Optional.empty());
    }

    private Optional<SizedPanel> panel(String letter) {
        if (!known.containsKey(letter)) {
            underWay.add(letter);
            known.put(letter, assembled(byLetter.get(letter)));
            underWay.remove(letter);
        }
        return known.get(letter);
    }

    /** A part along the panel and across it, with the words under which it stands in the working. */
    private record PartSize(
            Panel.Part part, String name, Quantity along, Optional<Length> across, Optional<Quantity> slant) {

        PartSize(Panel.Part part, String name, Quantity along) {
            this(part, name, along, Optional.empty(), Optional.empty());
        }

        boolean isSlanted() {
            return slant.filter(one -> one.value().signum() > 0).isPresent();
        }
    }

    private Optional<SizedPanel> assembled(Panel panel) {
        String place = "panels." + panel.letter();
        Optional<Quantity> join = measures.length(place + ".join", panel.join());
        List<PartSize> parts = new ArrayList<>();
        for (int i = 0; i < panel.parts().size(); i++) {
            part(panel, panel.parts().get(i), place + ".parts." + i).ifPresent(parts::add);
        }
        if (join.isEmpty() || parts.size() < panel.parts().size() || parts.isEmpty()) {
            return Optional.empty();
        }
        Optional<Length> narrowest = narrowest(parts);
        if (narrowest.isEmpty()) {
            return Optional.empty();
        }
        List<Seam> seams = seams(parts, narrowest.get(), place);
        Figure<Length> along = along(parts, seams, join.get());
        if (!measures.canBeCut(place, panel.name(), along.value())) {
            return Optional.empty();
        }
        checkAcross(panel, parts, narrowest.get(), place);
        checkGathers(panel, parts, narrowest.get(), join.get(), place);
        Figure<Length> across = new Figure<>(
                narrowest.get(),
                Working.of("Across its joins a panel measures what its parts do.")
                        .gives(Value.of(narrowest.get())));
        boolean down = panel.direction() == Panel.Direction.DOWN;
        Figure<Length> width = down ? across : along;
        Figure<Length> height = down ? along : across;
        Extent extent = new Extent(width.value(), height.value());
        return Optional.of(new SizedPanel(
                panel,
                width,
                height,
                panel.trimTo().flatMap(to -> measures.trimTo(place, to)),
                zips(parts, seams, join.get()),
                marks.of(place, panel.marks(), extent, Map.of())));
    }

    private Optional<PartSize> part(Panel panel, Panel.Part part, String place) {
        if (part.isZip()) {
            return measures.length(place + ".shows", part.shows())
                    .map(shows -> new PartSize(part, "zip " + part.letter(), shows));
        }
        if (part.isTuck()) {
            return measures.length(place + ".tuck", part.tuck()).map(depth -> new PartSize(part, "a tuck", depth));
        }
        if (underWay.contains(part.letter())) {
            findings.refuse(
                    place,
                    Sentence.of("Panel " + panel.letter() + " is a part of itself: " + String.join(" → ", underWay)
                            + " → " + part.letter() + "."),
                    Sentence.of("Take one of them out of the other."));
            return Optional.empty();
        }
        boolean known = pieces.containsKey(part.letter()) || byLetter.containsKey(part.letter());
        if (!known) {
            findings.refuse(
                    place,
                    Sentence.of(
                            panel.name() + " asks for “" + part.letter() + "”, and there is no such piece or panel."),
                    Sentence.of("Choose one of the design's pieces."));
            return Optional.empty();
        }
        Optional<Quantity> slant = measures.length(place + ".slant", part.slant());
        return slant.isEmpty()
                ? Optional.empty()
                : extent(part.letter()).map(extent -> {
                    boolean down = panel.direction() == Panel.Direction.DOWN;
                    return new PartSize(
                            part,
                            part.letter(),
                            Quantity.of(down ? extent.height() : extent.width()),
                            Optional.of(down ? extent.width() : extent.height()),
                            slant);
                });
    }

    /** What lies flat says how wide the panel is; of gathered parts alone, the narrowest. */
    private static Optional<Length> narrowest(List<PartSize> parts) {
        return parts.stream()
                .filter(part -> !part.part().isGathered())
                .flatMap(part -> part.across().stream())
                .min(Length::compareTo)
                .or(() -> parts.stream().flatMap(part -> part.across().stream()).min(Length::compareTo));
    }

    /**
     * A seam between two parts.
     *
     * @param allowances how many of the two take one: a zip takes none
     * @param slant how much further it lies on one side than on the other
     * @param stretch a slanted seam's allowance, measured along the panel, is as much longer as the seam is
     */
    private record Seam(int allowances, Quantity slant, Quantity stretch) {

        static final Seam NONE = new Seam(0, Sewn.NOTHING, Quantity.of(1));

        boolean isSlanted() {
            return slant.value().signum() != 0;
        }

        /** How what it takes comes about. */
        Working working(Quantity join) {
            return Working.of(
                            "The two parts lie over one another by the slant, and their allowances are taken along the"
                                    + " panel, where a slanted one is longer by the root of 1 and the slope's square.")
                    .expression("{slant} + {allowances} × {join} × {stretch}")
                    .input("slant", "slant of the seam", Value.of(slant))
                    .input("allowances", "allowances", Value.of((long) allowances))
                    .input("join", "allowance at a join", Value.of(join))
                    .input("stretch", "longer along the panel by", Value.of(stretch))
                    .gives(Value.of(takes(join)));
        }

        /** What of both parts' lengths isn't seen in the panel's. */
        Quantity takes(Quantity join) {
            return join.times(stretch).times(Quantity.of(allowances)).plus(slant);
        }
    }

    /** The seam before each part; a slant that can't be sewn is told and left out. */
    private List<Seam> seams(List<PartSize> parts, Length across, String place) {
        List<Seam> seams = new ArrayList<>();
        int last = NOTHING_BEFORE;
        for (int i = 0; i < parts.size(); i++) {
            // A tuck is laid, not joined.
            boolean isTuck = parts.get(i).part().isTuck();
            seams.add(
                    isTuck || last == NOTHING_BEFORE
                            ? Seam.NONE
                            : seam(parts.get(last), parts.get(i), across, place + ".parts." + last));
            last = isTuck ? last : i;
        }
        if (last != NOTHING_BEFORE && parts.get(last).isSlanted()) {
            refuseSlant(parts.get(last), place + ".parts." + last);
        }
        return seams;
    }

    private Seam seam(PartSize one, PartSize next, Length across, String place) {
        int allowances = allowances(one, next);
        Quantity typed = one.slant().orElse(Sewn.NOTHING);
        if (one.isSlanted() && next.part().isZip()) {
            refuseSlant(one, place);
        } else if (typed.compare(one.along()) > 0 || typed.compare(next.along()) > 0) {
            findings.refuse(
                    place + ".slant",
                    Sentence.of(
                            "The seam after part {0} slants by {1}, further than one of its two parts is long.",
                            Value.of(one.name()), Value.of(typed)),
                    Sentence.of("Make the slant smaller, or the parts longer."));
        } else if (one.isSlanted() && across.isPositive()) {
            Quantity slant = Quantity.of(typed.toLength(ShownRounding.NEAREST));
            Quantity rise = slant.dividedBy(Quantity.of(across));
            return new Seam(
                    allowances, slant, Quantity.of(1).plus(rise.times(rise)).squareRoot());
        }
        return new Seam(allowances, Sewn.NOTHING, Quantity.of(1));
    }

    /** A zip lies straight across a panel, and after the last part there is no seam. */
    private void refuseSlant(PartSize one, String place) {
        findings.refuse(
                place + ".slant",
                Sentence.of("A slanted seam joins two cloths, and after part {0} comes none.", Value.of(one.name())),
                Sentence.of("Leave its slant empty."));
    }

    /** Two cloths that meet take two allowances, a cloth that meets a zip takes one. */
    private static int allowances(PartSize one, PartSize next) {
        return (one.part().isZip() ? 0 : 1) + (next.part().isZip() ? 0 : 1);
    }

    private static Figure<Length> along(List<PartSize> parts, List<Seam> seams, Quantity join) {
        Quantity total = Sewn.NOTHING;
        List<String> terms = new ArrayList<>();
        Working.Builder working =
                Working.of("An assembled panel measures the sum of its parts, less an allowance on each"
                        + " side of a join, plus what shows of a zip, less twice the depth of a tuck.");
        for (int i = 0; i < parts.size(); i++) {
            PartSize part = parts.get(i);
            String symbol = "part " + (i + 1);
            if (part.part().isTuck()) {
                total = total.minus(part.along().times(Quantity.of(2)));
                terms.add("− 2 × {" + symbol + "}");
                working.input(symbol, "depth of the tuck, which takes twice that", Value.of(part.along()));
                continue;
            }
            total = total.plus(part.along());
            terms.add((terms.isEmpty() ? "" : "+ ") + "{" + symbol + "}");
            working.input(symbol, part.part().isZip() ? "what shows of the zip" : part.name(), Value.of(part.along()));
        }
        long straight = seams.stream()
                .filter(seam -> !seam.isSlanted())
                .mapToLong(Seam::allowances)
                .sum();
        total = total.minus(join.times(Quantity.of(straight)));
        terms.add("− {allowances} × {join}");
        working.input("allowances", "allowances at the joins", Value.of(straight))
                .input("join", "allowance at a join", Value.of(join));
        for (int i = 0; i < seams.size(); i++) {
            Seam seam = seams.get(i);
            if (seam.isSlanted()) {
                total = total.minus(seam.takes(join));
                String symbol = "seam " + i;
                terms.add("− {" + symbol + "}");
                working.input(symbol, "slanted seam after part " + i, Value.of(seam.takes(join)), seam.working(join));
            }
        }
        Length rounded = total.toLength(ShownRounding.UP);
        return new Figure<>(rounded, working.expression(String.join(" ", terms)).gives(Value.of(rounded)));
    }

    private void checkGathers(Panel panel, List<PartSize> parts, Length to, Quantity join, String place) {
        Quantity ends = join.times(Quantity.of(2));
        Quantity between = Quantity.of(to).minus(ends);
        for (int i = 0; i < parts.size(); i++) {
            PartSize part = parts.get(i);
            if (part.part().isGathered() && between.value().signum() > 0) {
                String its = place + ".parts." + i;
                part.across()
                        .ifPresent(across -> GatherRatio.check(
                                findings,
                                its,
                                "Part " + part.name() + " of " + panel.name(),
                                Quantity.of(across).minus(ends),
                                between));
            }
        }
    }

    private void checkAcross(Panel panel, List<PartSize> parts, Length narrowest, String place) {
        for (PartSize part : parts) {
            part.across()
                    .filter(across -> !part.part().isGathered())
                    .filter(a -> a.isLongerThan(narrowest))
                    .ifPresent(wider -> findings.care(
                            Check.JOIN_MATCH,
                            place,
                            Sentence.of(
                                    "In {0}, part {1} is {2} across and another only {3}.",
                                    Value.of(panel.name()),
                                    Value.of(part.name()),
                                    Value.of(wider),
                                    Value.of(narrowest)),
                            Sentence.of("Cut the parts alike, or trim the panel to size after it is assembled.")));
        }
    }

    private static List<SizedPanel.Interval> zips(List<PartSize> parts, List<Seam> seams, Quantity join) {
        List<SizedPanel.Interval> zips = new ArrayList<>();
        Quantity at = Sewn.NOTHING;
        for (int i = 0; i < parts.size(); i++) {
            PartSize part = parts.get(i);
            if (part.part().isTuck()) {
                at = at.minus(part.along().times(Quantity.of(2)));
                continue;
            }
            at = at.minus(seams.get(i).takes(join));
            Quantity end = at.plus(part.along());
            if (part.part().isZip()) {
                zips.add(new SizedPanel.Interval(
                        at.toLength(ShownRounding.NEAREST), end.toLength(ShownRounding.NEAREST)));
            }
            at = end;
        }
        return zips;
    }
}
