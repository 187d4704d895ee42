package mardun.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.working.Sentence;

/**
 * Why a bag came out different: which slips would make just the bag that was measured. Each slip is tried on the bag as
 * it was planned; those that come nearest to what was measured are named first, commoner ones before rarer ones.
 */
public final class Diagnosis {

    /** Sewing and measuring by hand are no more exact than this. */
    public static final Length MEASURED_WITHIN = Length.of(1, 16, LengthUnit.INCH);

    private static final double TOLERANCE = MEASURED_WITHIN.nanometres();
    private static final int MOST_EXPLANATIONS = 5;
    private static final double SURPRISE_OF_A_SECOND_SLIP = 1.5;

    private Diagnosis() {}

    /**
     * What the first bag measures; a measure that wasn't taken is empty.
     *
     * @param across the top, from side seam to side seam
     */
    public record Measured(
            Optional<Length> width, Optional<Length> height, Optional<Length> depth, Optional<Length> across) {}

    /** A slip in words, with what to do about the rest of the batch. */
    public record Named(Sentence what, Sentence remedy) {}

    /**
     * Slips that together explain the bag.
     *
     * @param slips one, or two that happened together
     * @param instead other slips that would make the very same bag, so that its measures can't tell them apart
     * @param makes what a bag with these slips measures
     * @param misses the largest difference from what was measured
     */
    public record Explanation(List<Named> slips, List<List<Named>> instead, Finished makes, Length misses) {}

    /**
     * What was found out.
     *
     * @param asPlanned it came out as planned, as exactly as hands sew
     * @param explanations the likeliest first; empty where nothing explains it
     */
    public record Report(Finished planned, boolean asPlanned, List<Explanation> explanations) {}

    private record Tried(List<Slip> slips, Finished makes, double error, double worst) {

        double rank() {
            double surprise =
                    slips.stream().mapToDouble(Slip::surprise).sum() + SURPRISE_OF_A_SECOND_SLIP * (slips.size() - 1);
            return error / TOLERANCE + surprise;
        }
    }

    /**
     * Explains what was measured.
     *
     * @throws IllegalArgumentException if the size has no finished measures, or nothing was measured
     */
    public static Report explain(Design design, SizedDesign sized, Measured measured) {
        Sewn sewn = sized.sewn().orElseThrow(() -> new IllegalArgumentException("the size can't be worked out"));
        Finished planned = sized.finished().orElseThrow();
        if (misses(planned, measured).isEmpty()) {
            throw new IllegalArgumentException("nothing was measured");
        }
        Slip.Trial trial = new Slip.Trial(design.form(), sewn);
        double asPlanned = worst(planned, measured);
        if (asPlanned <= TOLERANCE) {
            return new Report(planned, true, List.of());
        }
        List<Slip> slips = Slips.of(design.form(), sewn, otherCorners(design, sized, sewn));
        List<Tried> tried = new ArrayList<>();
        slips.forEach(slip -> tried.add(tryOut(List.of(slip), trial, measured)));
        if (tried.stream().noneMatch(t -> t.worst() <= TOLERANCE)) {
            for (int i = 0; i < slips.size(); i++) {
                for (int j = i + 1; j < slips.size(); j++) {
                    if (Slips.goTogether(slips.get(i), slips.get(j))) {
                        tried.add(tryOut(List.of(slips.get(i), slips.get(j)), trial, measured));
                    }
                }
            }
        }
        List<Tried> likely = tried.stream()
                .filter(t -> t.worst() <= 2 * TOLERANCE && t.worst() < asPlanned)
                .sorted(Comparator.comparingDouble(Tried::rank))
                .toList();
        return new Report(planned, false, grouped(likely, measured));
    }

    /** The corners of the other sizes, where they are measured otherwise than this one's. */
    private static Map<String, Slips.Corner> otherCorners(Design design, SizedDesign sized, Sewn own) {
        Map<String, Slips.Corner> others = new LinkedHashMap<>();
        for (int i = 0; i < design.sizes().size(); i++) {
            String size = design.sizes().get(i);
            if (!size.equals(sized.size())) {
                Sizing.of(design, i)
                        .sewn()
                        .filter(sewn -> sewn.has(FormMeasure.CUT_FROM_SIDE))
                        .map(sewn -> new Slips.Corner(
                                sewn.get(FormMeasure.CUT_FROM_SIDE), sewn.get(FormMeasure.CUT_FROM_BASE)))
                        .filter(corner -> !corner.fromSide().equals(own.get(FormMeasure.CUT_FROM_SIDE))
                                || !corner.fromBase().equals(own.get(FormMeasure.CUT_FROM_BASE)))
                        .ifPresent(corner -> others.put(size, corner));
            }
        }
        return others;
    }

    private static Tried tryOut(List<Slip> slips, Slip.Trial planned, Measured measured) {
        Slip.Trial trial = planned;
        for (Slip slip : slips) {
            trial = slip.effect().apply(trial);
        }
        Finished makes = trial.finish();
        double error = misses(makes, measured).stream().mapToDouble(Math::abs).sum();
        return new Tried(slips, makes, error, worst(makes, measured));
    }

    private static double worst(Finished finished, Measured measured) {
        return misses(finished, measured).stream().mapToDouble(Math::abs).max().orElse(Double.MAX_VALUE);
    }

    /** By how much a bag differs from what was measured, in nanometres, for each measure that was taken. */
    private static List<Double> misses(Finished finished, Measured measured) {
        List<Double> misses = new ArrayList<>();
        measured.width().ifPresent(w -> misses.add(miss(finished.width().value(), w)));
        measured.height().ifPresent(h -> misses.add(miss(finished.height().value(), h)));
        measured.depth().ifPresent(d -> misses.add(miss(finished.depth().value(), d)));
        measured.across().ifPresent(a -> finished.across().ifPresent(across -> misses.add(miss(across.value(), a))));
        return misses;
    }

    private static double miss(Quantity makes, Length measured) {
        return makes.value().doubleValue() - measured.nanometres();
    }

    /** Slips that make the same bag stand together: its measures can't tell them apart. */
    private static List<Explanation> grouped(List<Tried> likely, Measured measured) {
        Map<String, List<Tried>> alike = new LinkedHashMap<>();
        likely.forEach(t -> alike.computeIfAbsent(misses(t.makes(), measured).toString(), k -> new ArrayList<>())
                .add(t));
        return alike.values().stream()
                .limit(MOST_EXPLANATIONS)
                .map(group -> {
                    Tried first = group.get(0);
                    List<Named> what = named(first);
                    return new Explanation(
                            what,
                            group.stream()
                                    .skip(1)
                                    .map(Diagnosis::named)
                                    .filter(other -> !isSaidBy(what, other))
                                    .distinct()
                                    .toList(),
                            first.makes(),
                            new Length(Math.round(first.worst())));
                })
                .toList();
    }

    /** Whether another explanation says nothing but what one says: the same slips, in whatever order. */
    private static boolean isSaidBy(List<Named> one, List<Named> other) {
        return one.size() == other.size()
                && other.stream()
                        .allMatch(
                                slip -> one.stream().anyMatch(own -> own.what().equals(slip.what())));
    }

    private static List<Named> named(Tried tried) {
        return tried.slips().stream()
                .map(slip -> new Named(slip.what(), slip.remedy()))
                .toList();
    }
}
