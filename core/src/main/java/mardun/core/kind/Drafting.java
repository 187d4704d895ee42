package mardun.core.kind;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
     * The design for a brief: complete, with its pieces, trims, notions, steps and what each needs. From finished measures the cut
     * sizes follow; from what a paper says to cut, the finished measures do.
     */
    public static Design of(Brief brief) {
        Draft draft = new Draft(brief);
        List<OnPaper> paper = brief.kind().recipe().paper(draft);
        draft.seam();
        if (brief.known() == Known.CUT) {
            Map<String, String> usual = cutSizes(brief);
            Map<String, Asked> asked =
                    brief.kind().measures().stream().collect(Collectors.toMap(Asked::symbol, one -> one));
            paper.forEach(says -> {
                draft.measure(says.symbol(), says.label(), Measurement.Kind.ALLOWANCE, usual.get(says.symbol()));
                draft.follows(says.of(), asked.get(says.of()).label(), Measurement.Kind.FINISHED, says.finished());
            });
        }
        brief.kind()
                .measures()
                .forEach(asked -> draft.finished(asked.symbol(), asked.label(), asked.inch(), asked.metric()));
        brief.kind().recipe().fill(draft);
        return draft.design();
    }

    /** What each option of the kind comes to with what was chosen: of each choice the one that the design has. */
    public static Map<Choice, Option> chosen(Brief brief) {
        return brief.settled();
    }

    /** What a paper would say of a bag with these finished measures: the sizes to cut, by their symbols. */
    static Map<String, String> cutSizes(Brief brief) {
        Map<String, String> finished = new HashMap<>(brief.measures());
        List<OnPaper> paper = brief.kind().recipe().paper(new Draft(brief));
        paper.forEach(says -> finished.remove(says.of()));
        Draft draft = new Draft(brief.with(Known.FINISHED, finished));
        draft.seam();
        brief.kind()
                .measures()
                .forEach(asked -> draft.finished(asked.symbol(), asked.label(), asked.inch(), asked.metric()));
        brief.kind().recipe().fill(draft);
        paper.forEach(says -> draft.follows(says.symbol(), says.label(), Measurement.Kind.ALLOWANCE, says.cut()));
        SizedDesign sized = Sizing.of(draft.design(), 0);
        return paper.stream()
                .filter(says -> sized.measurements().containsKey(says.symbol()))
                .collect(Collectors.toMap(
                        OnPaper::symbol,
                        says -> LengthWriter.exactly(
                                sized.measurements().get(says.symbol()).value().toLength(ShownRounding.UP),
                                brief.system())));
    }
}
