package mardun.app.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.app.design.QuestionViews.BagSize;
import mardun.app.design.QuestionViews.ComparisonView;
import mardun.app.design.QuestionViews.DiagnosisAnswer;
import mardun.app.design.QuestionViews.DiagnosisQuestion;
import mardun.app.design.QuestionViews.ExplanationView;
import mardun.app.design.QuestionViews.FitAnswer;
import mardun.app.design.QuestionViews.FitQuestion;
import mardun.app.design.QuestionViews.PlaceAnswer;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.design.Design;
import mardun.core.design.Diagnosis;
import mardun.core.design.Finished;
import mardun.core.design.Fit;
import mardun.core.design.Mark;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedMark;
import mardun.core.design.Sizing;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Answers a maker's questions about a design: does this go in, and why did it come out different. */
@Service
public class QuestionService {

    private static final Length USUAL_EASE = Length.of(1, LengthUnit.CENTIMETRE);

    private final SettingsService settings;

    QuestionService(SettingsService settings) {
        this.settings = settings;
    }

    /** A design with the size that is asked about, worked out. */
    private record Asked(Design design, SizedDesign sized, Finished finished) {}

    private Asked asked(DesignDocument typed, String size, Settings current) {
        FieldReader fields = new FieldReader();
        DocumentLimits.check(typed, fields);
        fields.check();
        Design design = DocumentReader.read(DocumentReader.kept(typed, current.unitSystem()), fields);
        fields.check();
        int index = design.sizes().indexOf(size);
        if (index < 0) {
            throw RefusedException.conflict("“" + design.name() + "” has no size “" + size + "”.");
        }
        SizedDesign sized = Sizing.of(design, index, current.thickestSeam());
        return sized.finished()
                .map(finished -> new Asked(design, sized, finished))
                .orElseThrow(() -> RefusedException.conflict(
                        "There is no finished size yet; see what the checks say about the design first."));
    }

    @Transactional(readOnly = true)
    public FitAnswer fits(FitQuestion question) {
        Settings current = settings.current();
        Asked asked = asked(question.document(), question.size(), current);
        FieldReader fields = new FieldReader();
        LengthUnit unit = current.unitSystem().smallUnit();
        Length depth = question.depth().isBlank() ? Length.ZERO : fields.length("depth", question.depth(), unit);
        Length ease = question.ease().isBlank() ? USUAL_EASE : fields.length("ease", question.ease(), unit);
        Fit.Thing thing = new Fit.Thing(
                fields.length("width", question.width(), unit),
                fields.length("height", question.height(), unit),
                depth);
        fields.check();
        Optional<Figure<Quantity>> widest = asked.sized().openings().values().stream()
                .reduce((a, b) -> a.value().compare(b.value()) >= 0 ? a : b);
        Fit.Answer answer = Fit.of(asked.finished(), widest, thing, ease);
        ViewWriter writer = current.writer();
        List<PlaceAnswer> places = new ArrayList<>();
        places(asked.sized()).forEach(place -> {
            Fit.Answer there = place.isGap() ? Fit.gap(place.width(), thing) : Fit.pocket(place.width(), thing, ease);
            Length out = there.turned().height().minus(place.height());
            places.add(new PlaceAnswer(
                    place.name(),
                    there.fits(),
                    !place.isGap() && there.fits() && out.isPositive()
                            ? "It stands out by " + writer.text(Value.of(out)) + "."
                            : null,
                    views(there, writer)));
        });
        List<ComparisonView> comparisons = views(answer, writer);
        String sentence = answer.fits()
                ? "It goes in."
                : "It doesn’t go in: "
                        + comparisons.stream()
                                .filter(c -> !c.fits())
                                .map(ComparisonView::label)
                                .reduce((a, b) -> a + " and " + b)
                                .orElseThrow()
                        + " is too little.";
        return new FitAnswer(answer.fits(), sentence, comparisons, places);
    }

    private static List<ComparisonView> views(Fit.Answer answer, ViewWriter writer) {
        return answer.comparisons().stream()
                .map(c -> new ComparisonView(
                        c.label(),
                        writer.measured(c.needed(), ShownRounding.UP),
                        writer.measured(c.there(), ShownRounding.DOWN),
                        c.fits()))
                .toList();
    }

    /** A pocket, or a gap that is left open to turn the bag. */
    private record Place(String name, boolean isGap, Length width, Length height) {}

    private static List<Place> places(SizedDesign sized) {
        List<Place> places = new ArrayList<>();
        sized.pieces()
                .forEach(piece ->
                        places.addAll(places(piece.marks(), piece.piece().name())));
        sized.panels()
                .forEach(panel ->
                        places.addAll(places(panel.marks(), panel.panel().name())));
        return places;
    }

    private static List<Place> places(List<SizedMark> marks, String on) {
        return marks.stream()
                .filter(mark ->
                        mark.mark().kind() == Mark.Kind.POCKET || mark.mark().kind() == Mark.Kind.GAP)
                .map(mark -> {
                    boolean gap = mark.mark().kind() == Mark.Kind.GAP;
                    String label = mark.mark().label().isBlank()
                            ? mark.mark().kind().words()
                            : mark.mark().label();
                    return new Place(
                            label + ", " + on,
                            gap,
                            gap ? mark.width().max(mark.height()) : mark.width(),
                            mark.height());
                })
                .filter(place -> place.width().isPositive())
                .toList();
    }

    @Transactional(readOnly = true)
    public DiagnosisAnswer diagnose(DiagnosisQuestion question) {
        Settings current = settings.current();
        Asked asked = asked(question.document(), question.size(), current);
        FieldReader fields = new FieldReader();
        LengthUnit unit = current.unitSystem().smallUnit();
        Diagnosis.Measured measured = new Diagnosis.Measured(
                typed(fields, "width", question.width(), unit),
                typed(fields, "height", question.height(), unit),
                typed(fields, "depth", question.depth(), unit),
                typed(fields, "across", question.across(), unit));
        if (measured.width().isEmpty()
                && measured.height().isEmpty()
                && measured.depth().isEmpty()) {
            fields.refuse("width", "", "Type at least one thing that you measured.");
        }
        fields.check();
        Diagnosis.Report report = Diagnosis.explain(asked.design(), asked.sized(), measured);
        ViewWriter writer = current.writer();
        List<ExplanationView> explanations = report.explanations().stream()
                .map(e -> new ExplanationView(
                        sentences(e.slips(), writer),
                        e.slips().stream()
                                .map(slip -> writer.sentence(slip.remedy()))
                                .distinct()
                                .toList(),
                        e.instead().stream()
                                .map(slips -> sentences(slips, writer))
                                .toList(),
                        size(e.makes(), writer),
                        writer.length(e.misses(), ShownRounding.NEAREST)))
                .toList();
        return new DiagnosisAnswer(report.asPlanned(), sentence(report), size(report.planned(), writer), explanations);
    }

    private static String sentence(Diagnosis.Report report) {
        if (report.asPlanned()) {
            return "It came out as planned, as exactly as hands sew.";
        }
        return report.explanations().isEmpty()
                ? "No slip that Mardun knows makes such a bag. Measure once more, and measure the pieces that are left."
                : "This would make such a bag, the likeliest first.";
    }

    private static List<String> sentences(List<Diagnosis.Named> slips, ViewWriter writer) {
        return slips.stream().map(slip -> writer.sentence(slip.what())).toList();
    }

    private static Optional<Length> typed(FieldReader fields, String field, String text, LengthUnit unit) {
        return text.isBlank() ? Optional.empty() : Optional.of(fields.length(field, text, unit));
    }

    private static BagSize size(Finished finished, ViewWriter writer) {
        return new BagSize(
                writer.length(finished.width().value().value(), ShownRounding.NEAREST),
                writer.length(finished.height().value().value(), ShownRounding.NEAREST),
                writer.length(finished.depth().value().value(), ShownRounding.NEAREST),
                finished.across()
                        .map(a -> writer.length(a.value().value(), ShownRounding.NEAREST))
                        .orElse(null));
    }
}
