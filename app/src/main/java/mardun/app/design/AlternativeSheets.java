package mardun.app.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.design.DesignViews.AlternativeView;
import mardun.app.id.DesignId;
import mardun.app.log.Estimates;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.show.ViewWriter;
import mardun.core.batch.BatchLine;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.ChoiceEffect;
import mardun.core.batch.Supply;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.OpenChoice;
import mardun.core.design.OpenChoice.Alternative;
import org.springframework.stereotype.Component;

/** What the alternatives of a design's choices that aren't usually taken would change, each alone. */
@Component
class AlternativeSheets {

    private final BatchPlanner planner;
    private final Estimates estimates;

    AlternativeSheets(BatchPlanner planner, Estimates estimates) {
        this.planner = planner;
        this.estimates = estimates;
    }

    /** An alternative that isn't usually taken. */
    private record Other(OpenChoice choice, Alternative alternative) {

        DesignDocument in(DesignDocument document) {
            return document.chosen(Map.of(choice.key(), alternative.key()));
        }

        String words() {
            return choice.name() + ": " + alternative.name();
        }
    }

    private static List<Other> all(DesignDocument document) {
        List<Other> others = new ArrayList<>();
        for (OpenChoice choice : document.leftOpen()) {
            Alternative usual = choice.taken(Map.of());
            choice.alternatives().stream()
                    .filter(one -> one != usual)
                    .forEach(one -> others.add(new Other(choice, one)));
        }
        return others;
    }

    /** A design with each of them taken, by what it is called. */
    Map<String, DesignDocument> others(DesignDocument document) {
        Map<String, DesignDocument> others = new LinkedHashMap<>();
        all(document).forEach(other -> others.put(other.words(), other.in(document)));
        return others;
    }

    /**
     * What each of them changes of one bag of a size.
     *
     * @param usual the plan of the design as it is usually made
     * @param supplies what lies on the shelf for its slots
     */
    List<AlternativeView> of(
            DesignDocument document, DesignId id, int size, BatchPlan usual, List<Supply> supplies, Settings current) {
        ViewWriter writer = current.writer();
        return all(document).stream()
                .map(other -> {
                    Design design = estimates.timed(id, DocumentReader.read(other.in(document), new FieldReader()));
                    BatchPlan plan = planner.plan(
                            List.of(BatchLine.only(design, size, document.usualUnits(), supplies, Optional.empty())),
                            current.workroom());
                    Optional<ChoiceEffect> effect =
                            ChoiceEffect.of(usual.lines().get(0), plan.lines().get(0));
                    return new AlternativeView(
                            other.choice().key(),
                            other.alternative().key(),
                            effect.map(one -> writer.more(one.time())).orElse(null),
                            effect.map(one -> writer.more(one.cost())).orElse(null),
                            effect.map(one -> writer.more(one.price())).orElse(null),
                            effect.isPresent() ? null : problem(plan, writer));
                })
                .toList();
    }

    private static String problem(BatchPlan plan, ViewWriter writer) {
        return plan.findings().stream()
                .filter(Finding::isRefused)
                .findFirst()
                .map(finding -> writer.sentence(finding.what()) + " " + writer.sentence(finding.remedy()))
                .orElse("The design can’t be worked out as it usually is.");
    }
}
