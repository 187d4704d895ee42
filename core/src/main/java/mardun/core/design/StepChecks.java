package mardun.core.design;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.material.ClothKind;
import mardun.core.measure.Length;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/** Whether steps suit what goes through them: their order, the iron, the needle, the thickness; and who the bag is for. */
final class StepChecks {

    private static final Pattern NEEDLE_SIZE = Pattern.compile("(?<!\\d)(\\d{2,3})(?!\\d)");
    private static final int FINEST_NEEDLE = 60;
    private static final Pattern LABEL = Pattern.compile("\\blabels?\\b", Pattern.CASE_INSENSITIVE);

    private final Design design;
    private final SizedDesign sized;
    private final Findings findings;
    private final SeamThickness thicknesses;
    private final Letters letters;

    StepChecks(Design design, SizedDesign sized, Findings findings) {
        this.design = design;
        this.sized = sized;
        this.findings = findings;
        letters = new Letters(design, sized);
        thicknesses = new SeamThickness(letters);
    }

    void all(Length thickestSeam) {
        order();
        unused();
        labels();
        for (Step step : design.steps()) {
            iron(step);
            needle(step);
            bulk(step, thickestSeam);
        }
        children();
    }

    private void order() {
        Map<String, Integer> position = new HashMap<>();
        for (int i = 0; i < design.steps().size(); i++) {
            position.put(design.steps().get(i).key(), i);
        }
        for (int i = 0; i < design.steps().size(); i++) {
            Step step = design.steps().get(i);
            for (String before : step.after()) {
                if (position.containsKey(before) && position.get(before) > i) {
                    Step needed = design.steps().get(position.get(before));
                    findings.care(
                            Check.STEP_ORDER,
                            "steps." + step.key(),
                            Sentence.of("“" + step.name() + "” stands before “" + needed.name()
                                    + "”, which has to come first."),
                            Sentence.of("Move it behind."));
                }
            }
        }
    }

    /** A label is sewn on while the panel is flat: after outer and lining are joined, its stitches show inside. */
    private void labels() {
        Optional<String> outer = design.form().outer();
        Optional<String> lining = design.form().lining();
        if (outer.isEmpty() || lining.isEmpty()) {
            return;
        }
        Optional<Step> joined = Optional.empty();
        for (Step step : design.steps()) {
            boolean sewsLabel = step.station() == Station.MACHINE
                    && LABEL.matcher(step.name()).find();
            if (joined.isPresent() && sewsLabel) {
                findings.care(
                        Check.STEP_ORDER,
                        "steps." + step.key(),
                        Sentence.of(
                                "“{0}” comes after “{1}”, where outer and lining are joined: its stitches go through both.",
                                Value.of(step.name()), Value.of(joined.get().name())),
                        Sentence.of("Sew the label on while the panel is flat."));
            }
            Set<String> used = step.uses().stream().map(Step.Use::letter).collect(Collectors.toSet());
            boolean joins =
                    step.station() == Station.MACHINE && used.contains(outer.get()) && used.contains(lining.get());
            joined = joined.isPresent() || !joins ? joined : Optional.of(step);
        }
    }

    private void unused() {
        if (design.steps().stream().allMatch(step -> step.uses().isEmpty())) {
            return;
        }
        Set<String> used = new HashSet<>();
        design.steps().forEach(step -> step.uses().forEach(use -> used.addAll(letters.parts(use.letter()))));
        Stream.concat(
                        sized.pieces().stream()
                                .map(p -> Map.entry(
                                        "pieces." + p.piece().letter(),
                                        p.piece().letter())),
                        sized.trims().stream()
                                .map(t -> Map.entry(
                                        "trims." + t.trim().letter(), t.trim().letter())))
                .filter(entry -> !used.contains(entry.getValue()))
                .forEach(entry -> findings.care(
                        Check.PIECE_UNUSED,
                        entry.getKey(),
                        Sentence.of(sized.nameOf(entry.getValue()).orElseThrow() + " is cut, and no step uses it."),
                        Sentence.of("Say in the steps where it is sewn in, or take it out.")));
    }

    private void iron(Step step) {
        if (step.station() != Station.PRESS) {
            return;
        }
        for (Step.Use use : step.uses()) {
            letters.cloths(use.letter())
                    .filter(cloth -> !cloth.isIronable())
                    .findFirst()
                    .ifPresent(cloth -> findings.care(
                            Check.IRON,
                            "steps." + step.key(),
                            Sentence.of("“" + step.name() + "” puts an iron on "
                                    + sized.nameOf(use.letter()).orElse(use.letter()) + ", and " + cloth.words()
                                    + " can't be ironed: " + cloth.underAnIron() + "."),
                            Sentence.of("Finger-press it, roll it, or hold it under clips.")));
        }
    }

    private void needle(Step step) {
        OptionalInt size = needleSize(step.setUp().needle());
        if (!step.station().sews() || size.isEmpty()) {
            return;
        }
        Optional<ClothKind> heaviest = step.uses().stream()
                .flatMap(use -> letters.cloths(use.letter()))
                .reduce(ClothKind::heaviest);
        heaviest.ifPresent(cloth -> {
            boolean tooFine = size.getAsInt() < cloth.finestNeedle();
            boolean tooHeavy = size.getAsInt() > cloth.heaviestNeedle();
            if (tooFine || tooHeavy) {
                findings.care(
                        Check.NEEDLE,
                        "steps." + step.key(),
                        Sentence.of("“" + step.name() + "” sews " + cloth.words() + " with a needle "
                                + size.getAsInt() + ", which is too " + (tooFine ? "fine" : "heavy") + " for it"
                                + (tooFine ? " and breaks or skips." : " and puckers.")),
                        Sentence.of("Needles from " + cloth.finestNeedle() + " to " + cloth.heaviestNeedle()
                                + " suit it."));
            }
        });
    }

    /** The metric number in what was typed for a needle: 80 in {@code 80/12 universal} and in {@code 12/80}. */
    static OptionalInt needleSize(String typed) {
        Matcher matcher = NEEDLE_SIZE.matcher(typed);
        while (matcher.find()) {
            int size = Integer.parseInt(matcher.group(1));
            if (size >= FINEST_NEEDLE) {
                return OptionalInt.of(size);
            }
        }
        return OptionalInt.empty();
    }

    private void bulk(Step step, Length thickest) {
        Length thickness = thicknesses.of(step);
        if (thickness.isLongerThan(thickest)) {
            findings.care(
                    Check.BULK,
                    "steps." + step.key(),
                    Sentence.of(
                            "“{0}” has about {1} under the foot, and the machine sews {2}.",
                            Value.of(step.name()), new Value.Thickness(thickness), new Value.Thickness(thickest)),
                    Sentence.of(
                            "Make a strap or tab of one layer, grade the allowances, cut stiffening out of the seam,"
                                    + " or sew it at another place."));
        }
    }

    private void children() {
        if (!design.forChildren()) {
            return;
        }
        Sentence remedy = Sentence.of("Rules differ by country: check your local product-safety rules, or ask someone"
                + " licensed to advise.");
        sized.trims().stream()
                .filter(trim -> trim.trim().kind().isStringy())
                .forEach(trim -> findings.care(
                        Check.CHILDREN,
                        "trims." + trim.trim().letter(),
                        Sentence.of(trim.trim().name() + " on a children's bag: cords and ribbons can strangle."),
                        remedy));
        List<SizedNotion> notions = sized.notions();
        for (int i = 0; i < notions.size(); i++) {
            findings.care(
                    Check.CHILDREN,
                    "notions." + i,
                    Sentence.of(notions.get(i).notion().name()
                            + " on a children's bag: small parts that come off can be swallowed."),
                    remedy);
        }
    }
}
