package mardun.core.design;

import java.util.Optional;
import java.util.OptionalInt;
import mardun.core.construction.Drawstrings;
import mardun.core.construction.StrapSchool;
import mardun.core.construction.Straps;
import mardun.core.construction.Zips;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/** Whether zips, straps and cords fit what they go with. */
final class FittingChecks {

    /** A strap this much narrower than its ring still lies flat in it. */
    private static final Length PLAY_IN_A_RING = Length.of(1, 4, LengthUnit.INCH);

    private final Design design;
    private final SizedDesign sized;
    private final Measures measures;
    private final Findings findings;

    FittingChecks(Design design, SizedDesign sized, Measures measures, Findings findings) {
        this.design = design;
        this.sized = sized;
        this.measures = measures;
        this.findings = findings;
    }

    void all() {
        design.zips().forEach(this::zip);
        zipsAtTheTop();
        design.straps().forEach(this::strap);
        for (int i = 0; i < design.casings().size(); i++) {
            casing(design.casings().get(i), "casings." + i);
        }
        for (int i = 0; i < design.gathers().size(); i++) {
            gather(design.gathers().get(i), "gathers." + i);
        }
        sized.trims().forEach(this::range);
    }

    private void zip(ZipFit fit) {
        String place = "zips." + fit.zip();
        Optional<SizedTrim> trim = sized.trim(fit.zip());
        Optional<Quantity> edge = measures.length(place + ".edge", fit.edge());
        Optional<Quantity> side = measures.length(place + ".side", fit.side());
        Optional<Quantity> clearance = measures.length(place + ".clearance", fit.clearance());
        Optional<Quantity> tab = measures.length(place + ".tab", fit.tab());
        Optional<Quantity> over = measures.length(place + ".over", fit.over());
        if (trim.isEmpty()
                || edge.isEmpty()
                || side.isEmpty()
                || clearance.isEmpty()
                || tab.isEmpty()
                || over.isEmpty()) {
            return;
        }
        Quantity wanted = Zips.length(fit.school(), edge.get(), side.get(), clearance.get(), tab.get(), over.get())
                .value();
        Length zip = trim.get().length().value();
        if (!wanted.equals(Quantity.of(zip)) && !DesignChecks.near(wanted, Quantity.of(zip))) {
            findings.care(
                    Check.ZIP_FIT,
                    "trims." + fit.zip(),
                    Sentence.of(
                            "{0} is {1} long; {2}, its edge of {3} takes {4}.",
                            Value.of(trim.get().trim().name()),
                            Value.of(zip),
                            Value.of(fit.school().words()),
                            Value.of(edge.get()),
                            Value.of(wanted)),
                    Sentence.of("Cut the zip to that length, or change the edge or the way it is set in."));
        }
    }

    /** A zip that closes the bag's top is no longer than the panel's edge that it is sewn to. */
    private void zipsAtTheTop() {
        Optional<Length> edge = sized.sewn()
                .filter(sewn -> sewn.get(FormMeasure.ZIP_SHOWS).value().signum() > 0)
                .flatMap(sewn -> design.form().outer())
                .flatMap(sized::extent)
                .map(Extent::width);
        edge.ifPresent(width -> sized.trims().stream()
                .filter(trim -> trim.trim().kind() == TrimNeed.Kind.ZIP)
                .filter(trim -> trim.length().value().isLongerThan(width.plus(DesignChecks.NEAR)))
                .forEach(trim -> findings.care(
                        Check.ZIP_FIT,
                        "trims." + trim.trim().letter(),
                        Sentence.of(
                                "{0} is {1} long, and the edge it closes only {2}.",
                                Value.of(trim.trim().name()),
                                Value.of(trim.length().value()),
                                Value.of(width)),
                        Sentence.of(
                                "Cut the zip shorter, or set this aside if it is sewn in longer and cut off then."))));
    }

    /** What is gathered is wider than what it is gathered to, and elastic draws it to just the width it is sewn to. */
    private void gather(Gather gather, String place) {
        Optional<Quantity> seam = measures.length(place + ".seam", gather.seam());
        Optional<Extent> cloth = sized.extent(gather.of());
        if (seam.isEmpty() || cloth.isEmpty()) {
            return;
        }
        Quantity ends = seam.get().times(Quantity.of(2));
        Optional<Quantity> drawn = sized.trim(gather.elastic())
                .map(elastic -> Quantity.of(elastic.length().value()).minus(ends));
        Optional<Quantity> onto = sized.extent(gather.onto())
                .map(extent -> Quantity.of(extent.width()).minus(ends));
        String name = sized.nameOf(gather.of()).orElse(gather.of());
        drawn.or(() -> onto)
                .filter(to -> to.value().signum() > 0)
                .ifPresent(to -> GatherRatio.check(
                        findings, place, name, Quantity.of(cloth.get().width()).minus(ends), to));
        if (drawn.isPresent() && onto.isPresent() && !DesignChecks.near(drawn.get(), onto.get())) {
            findings.care(
                    Check.GATHER,
                    place,
                    Sentence.of(
                            "The elastic draws {0} to {1}, and it is sewn to {2}.",
                            Value.of(name), Value.of(drawn.get()), Value.of(onto.get())),
                    Sentence.of("Cut the elastic to that width, plus what is caught at each end."));
        }
    }

    private void range(SizedTrim trim) {
        range(
                "trims." + trim.trim().letter(),
                trim.trim().name(),
                trim.length().value(),
                trim.shortest(),
                trim.longest());
    }

    private void range(String place, String name, Length length, Optional<Length> shortest, Optional<Length> longest) {
        boolean tooShort = shortest.map(least -> least.isLongerThan(length)).orElse(false);
        boolean tooLong = longest.map(length::isLongerThan).orElse(false);
        if (tooShort || tooLong) {
            findings.care(
                    Check.STRAP_RANGE,
                    place,
                    tooShort
                            ? Sentence.of(
                                    "{0} is {1} long, shorter than {2}.",
                                    Value.of(name), Value.of(length), Value.of(shortest.orElseThrow()))
                            : Sentence.of(
                                    "{0} is {1} long, longer than {2}.",
                                    Value.of(name), Value.of(length), Value.of(longest.orElseThrow())),
                    Sentence.of("Stay within its range, so that it can be tried on."));
        }
    }

    private void strap(Strap strap) {
        String place = "straps." + strap.of();
        Optional<Quantity> width = measures.length(place + ".width", strap.width());
        Optional<Quantity> seam = measures.length(place + ".seam", strap.seam());
        if (width.isEmpty() || seam.isEmpty()) {
            return;
        }
        Optional<StrapSchool> school = school(strap, place);
        sized.piece(strap.of()).ifPresent(piece -> {
            Extent extent = piece.extent();
            Length narrow = extent.width().isLongerThan(extent.height()) ? extent.height() : extent.width();
            school.ifPresent(made -> stripWidth(made, piece, narrow, width.get(), seam.get()));
            range(
                    place,
                    piece.piece().name(),
                    extent.width().max(extent.height()),
                    measures.stated(place + ".shortest", strap.shortest()),
                    measures.stated(place + ".longest", strap.longest()));
        });
        sized.trim(strap.of())
                .ifPresent(trim -> range(
                        place,
                        trim.trim().name(),
                        trim.length().value(),
                        measures.stated(place + ".shortest", strap.shortest()),
                        measures.stated(place + ".longest", strap.longest())));
        measures.stated(place + ".ring", strap.ring())
                .ifPresent(ring -> ring(place, strap, width.get().toLength(ShownRounding.UP), ring));
    }

    /** How a strap is made in this size; empty if the choice that says so can't be followed, which is then among the findings. */
    private Optional<StrapSchool> school(Strap strap, String place) {
        if (!strap.followsAChoice()) {
            return Optional.of(strap.school());
        }
        OptionalInt option = measures.option(strap.choice());
        if (option.isEmpty() || option.getAsInt() >= strap.schools().size()) {
            findings.refuse(
                    place + ".choice",
                    Sentence.of(
                            "How the strap is made follows “{0}”, and that isn't a choice with a way for each option.",
                            Value.of(strap.choice())),
                    Sentence.of("Choose a measurement that is one of several ways, and say how it is made for each."));
            return Optional.empty();
        }
        return Optional.of(strap.schools().get(option.getAsInt()));
    }

    private void stripWidth(StrapSchool school, SizedPiece piece, Length strip, Quantity width, Quantity seam) {
        if (school == StrapSchool.WEBBING) {
            return;
        }
        Quantity wanted = Straps.cutWidth(school, width, seam).value();
        if (!DesignChecks.near(wanted, Quantity.of(strip))) {
            findings.care(
                    Check.STRAP_WIDTH,
                    "pieces." + piece.piece().letter(),
                    Sentence.of(
                            "{0} is cut {1} wide; {2}, a strap of {3} takes {4}.",
                            Value.of(piece.piece().name()),
                            Value.of(strip),
                            Value.of(school.words()),
                            Value.of(width),
                            Value.of(wanted)),
                    Sentence.of("Cut the strip to that width, or change the way the strap is made."));
        }
    }

    private void ring(String place, Strap strap, Length width, Length ring) {
        String name = sized.nameOf(strap.of()).orElse("The strap");
        if (width.isLongerThan(ring)) {
            findings.care(
                    Check.STRAP_RING,
                    place,
                    Sentence.of(
                            "{0} finishes {1} wide and doesn't go through a ring of {2}.",
                            Value.of(name), Value.of(width), Value.of(ring)),
                    Sentence.of("Take a ring that is as wide inside as the strap."));
        } else if (ring.minus(width).isLongerThan(PLAY_IN_A_RING)) {
            findings.care(
                    Check.STRAP_RING,
                    place,
                    Sentence.of(
                            "{0} finishes {1} wide and slips about in a ring of {2}.",
                            Value.of(name), Value.of(width), Value.of(ring)),
                    Sentence.of("Take a ring that is as wide inside as the strap."));
        }
    }

    private void casing(Casing casing, String place) {
        String about = "casings." + casing.name();
        Optional<Length> height = measures.stated(place + ".height", casing.height());
        Optional<Quantity> thickness = measures.length(place + ".thickness", casing.thickness());
        Optional<Quantity> ease = measures.length(place + ".ease", casing.ease());
        if (height.isPresent() && thickness.isPresent() && ease.isPresent()) {
            Quantity wanted = Drawstrings.casing(casing.round(), thickness.get(), ease.get())
                    .value();
            if (Quantity.of(height.get().plus(DesignChecks.NEAR)).compare(wanted) < 0) {
                findings.care(
                        Check.CASING_HEIGHT,
                        about,
                        Sentence.of(
                                "{0} is {1} high, and its cord of {2} needs {3}.",
                                Value.of(casing.name()),
                                Value.of(height.get()),
                                Value.of(thickness.get()),
                                Value.of(wanted)),
                        Sentence.of("Make the casing higher or take a thinner cord."));
            }
        }
        height.ifPresent(h -> gap(casing, place, h));
    }

    private void gap(Casing casing, String place, Length height) {
        measures.stated(place + ".gap", casing.gap())
                .filter(gap -> !gap.equals(height))
                .ifPresent(gap -> findings.care(
                        Check.CASING_GAP,
                        "casings." + casing.name(),
                        Sentence.of(
                                "{0}: the gap is {1} high and the casing {2}.",
                                Value.of(casing.name()), Value.of(gap), Value.of(height)),
                        Sentence.of("Leave a gap as high as the casing.")));
        Optional<Length> from = measures.stated(place + ".gapFrom", casing.gapFrom());
        Optional<Quantity> header = measures.length(place + ".header", casing.header());
        Optional<Quantity> top = measures.length(place + ".top", casing.top());
        if (from.isEmpty() || header.isEmpty() || top.isEmpty()) {
            return;
        }
        Quantity wanted = Drawstrings.gap(header.get(), top.get()).value();
        if (!wanted.equals(Quantity.of(from.get()))) {
            boolean topForgotten = Quantity.of(from.get()).equals(header.get());
            findings.care(
                    Check.CASING_GAP,
                    "casings." + casing.name(),
                    Sentence.of(
                            "{0}: the gap begins {1} from the raw edge, and header and top seam together are {2}.{3}",
                            Value.of(casing.name()),
                            Value.of(from.get()),
                            Value.of(wanted),
                            Value.of(topForgotten ? " The top seam was forgotten." : "")),
                    Sentence.of("Measure the gap from the raw edge: header plus top seam."));
        }
    }
}
