package mardun.core.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.core.design.Design;
import mardun.core.design.Measurement;
import mardun.core.design.SizedDesign;
import mardun.core.design.Sizing;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.ShownRounding;

/** Makes designs of what is known of a bag and how it is made. */
public final class Drafting {

    private Drafting() {}

    /**
     * A design that was drafted.
     *
     * @param chosen what each choice came to: what isn't offered with another one is as it usually is
     * @param asked the symbols of the measurements that are asked first
     * @param typed the symbols of all measurements that may be typed, those asked first among them
     * @param parts which choice a measurement belongs to, by its symbol; those of the bag as a whole belong to none
     */
    public record Drafted(
            Design design,
            Map<Choice, Option> chosen,
            List<String> asked,
            Set<String> typed,
            Map<String, Choice> parts) {}

    /**
     * The design for a brief: complete, with its pieces, trims, notions, steps and what each needs. From finished measures the cut
     * sizes follow; from what a paper says to cut, the finished measures do.
     */
    public static Drafted of(Brief brief) {
        Draft draft = new Draft(brief);
        List<Instead> instead = instead(brief, draft);
        List<String> asked = new ArrayList<>();
        Map<String, Instead> byMeasure = instead.stream().collect(Collectors.toMap(Instead::of, one -> one));
        Map<String, String> usual = instead.isEmpty() ? Map.of() : known(brief, instead);
        for (Asked measure : brief.kind().measures()) {
            Instead its = byMeasure.get(measure.symbol());
            if (its == null) {
                draft.finished(measure.symbol(), measure.label(), measure.inch(), measure.metric());
                asked.add(measure.symbol());
            } else {
                draft.measure(
                        its.symbol(),
                        its.label(),
                        Measurement.Kind.ALLOWANCE,
                        usual.getOrDefault(its.symbol(), draft.usual(measure.inch(), measure.metric())));
                asked.add(its.symbol());
                draft.follows(measure.symbol(), measure.label(), Measurement.Kind.FINISHED, its.finished());
            }
        }
        draft.seam();
        brief.kind().recipe().fill(draft);
        return new Drafted(draft.design(), brief.settled(), asked, draft.typed(), draft.parts());
    }

    private static List<Instead> instead(Brief brief, Draft draft) {
        return switch (brief.known()) {
            case FINISHED -> List.of();
            case CUT -> brief.kind().recipe().paper(draft);
            case ON_THE_TABLE -> brief.kind().recipe().table(draft);
        };
    }

    /** What a paper, or a tape on the finished bag, would say of a bag with these finished measures, by symbol. */
    static Map<String, String> known(Brief brief) {
        return known(brief, instead(brief, new Draft(brief)));
    }

    private static Map<String, String> known(Brief brief, List<Instead> instead) {
        Draft draft = new Draft(brief.with(Known.FINISHED));
        brief.kind()
                .measures()
                .forEach(asked -> draft.finished(asked.symbol(), asked.label(), asked.inch(), asked.metric()));
        draft.seam();
        brief.kind().recipe().fill(draft);
        instead.forEach(one -> draft.follows(one.symbol(), one.label(), Measurement.Kind.ALLOWANCE, one.known()));
        SizedDesign sized = Sizing.of(draft.design(), 0);
        return instead.stream()
                .filter(one -> sized.measurements().containsKey(one.symbol()))
                .collect(Collectors.toMap(
                        Instead::symbol,
                        one -> LengthWriter.exactly(
                                sized.measurements().get(one.symbol()).value().toLength(ShownRounding.UP),
                                brief.system())));
    }
}
