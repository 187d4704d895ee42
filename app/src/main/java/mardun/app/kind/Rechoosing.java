package mardun.app.kind;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignDocument.Begun;
import mardun.app.design.DesignDocument.FormRow;
import mardun.app.design.DesignDocument.PanelRow;
import mardun.app.design.DesignDocument.PieceRow;
import mardun.app.design.DesignDocument.SlotRow;
import mardun.app.design.DesignDocument.StepRow;
import mardun.app.design.DocumentWriter;
import mardun.core.design.Casing;
import mardun.core.design.FillingNeed;
import mardun.core.design.Gather;
import mardun.core.design.Measurement;
import mardun.core.design.NotionNeed;
import mardun.core.design.Strap;
import mardun.core.design.TrimNeed;
import mardun.core.design.ZipFit;
import mardun.core.kind.Brief;
import mardun.core.kind.Choice;
import mardun.core.kind.Drafting;
import mardun.core.kind.Drafting.Drafted;
import mardun.core.kind.Option;

/**
 * Changes how a design is made and keeps everything else: its measures, its materials, its times, its notes, and what was added or
 * changed by hand.
 */
final class Rechoosing {

    /** What parts of rows are called where a maker reads of them. */
    private static final Map<String, String> WORDS = Map.ofEntries(
            Map.entry("quantity", "number"),
            Map.entry("uses", "list of what goes through it"),
            Map.entry("after", "order"),
            Map.entry("minutesPerUnit", "time for each bag"),
            Map.entry("minutesPerBatch", "time for the batch"),
            Map.entry("measures", "seams and measures"),
            Map.entry("values", "value"),
            Map.entry("shapes", "shape"),
            Map.entry("edges", "allowances"));

    private final DesignDocument own;
    private final DesignDocument before;
    private final DesignDocument anew;
    private final Drafted drafted;
    private final Set<String> kept = new LinkedHashSet<>();

    private Rechoosing(DesignDocument own, DesignDocument before, DesignDocument anew, Drafted drafted) {
        this.own = own;
        this.before = before;
        this.anew = anew;
        this.drafted = drafted;
    }

    /** A changed design, how it is drafted now, and what was changed by hand and so doesn't follow the choices. */
    record Result(DesignDocument document, Drafted drafted, List<String> kept) {}

    static Result of(DesignDocument own, Begun begun, Map<Choice, Option> chosen) {
        Drafted drafted = Drafting.of(brief(own.name(), begun, chosen));
        Begun now = new Begun(begun.kind(), begun.known(), drafted.chosen(), begun.system(), begun.seam());
        return new Rechoosing(
                        own,
                        DocumentWriter.write(
                                Drafting.of(brief(own.name(), begun, begun.chosen()))
                                        .design(),
                                begun,
                                Map.of()),
                        DocumentWriter.write(drafted.design(), now, Map.of()),
                        drafted)
                .merged();
    }

    /** What the design was begun from, with usual measures: what was typed since is the maker's own. */
    static Brief brief(String name, Begun begun, Map<Choice, Option> chosen) {
        return new Brief(begun.kind(), name, begun.known(), chosen, Map.of(), begun.system(), begun.seam());
    }

    private Result merged() {
        FormRow form = part("Put together", before.form(), own.form(), anew.form());
        DesignDocument document = new DesignDocument(
                own.name(),
                own.sort(),
                own.note(),
                own.sizes(),
                own.sizeKeys(),
                own.usualUnits(),
                measurements(),
                form,
                merge(this::piece).rows(before.pieces(), own.pieces(), anew.pieces(), PieceRow::letter),
                merge(key -> key).rows(before.panels(), own.panels(), anew.panels(), PanelRow::letter),
                merge(this::trim).rows(before.trims(), own.trims(), anew.trims(), TrimNeed::letter),
                merge(key -> key).rows(before.notions(), own.notions(), anew.notions(), NotionNeed::name),
                merge(key -> key).rows(before.fillings(), own.fillings(), anew.fillings(), FillingNeed::name),
                merge(this::trim).rows(before.zips(), own.zips(), anew.zips(), ZipFit::zip),
                merge(this::piece).rows(before.straps(), own.straps(), anew.straps(), Strap::of),
                merge(key -> key).rows(before.casings(), own.casings(), anew.casings(), Casing::name),
                merge(this::piece).rows(gathers(before), gathers(own), gathers(anew), Gather::of),
                steps(),
                slots(),
                own.source(),
                own.forChildren(),
                own.setAside(),
                anew.begun(),
                own.openChoices(),
                own.paper());
        return new Result(document, drafted, List.copyOf(kept));
    }

    private static List<Gather> gathers(DesignDocument document) {
        return Optional.ofNullable(document.gathers()).orElse(List.of());
    }

    /** What was typed stays, unless the measurement means something else now. */
    private List<Measurement> measurements() {
        return merge(symbol -> symbol)
                .rows(before.measurements(), own.measurements(), anew.measurements(), Measurement::symbol)
                .stream()
                .map(this::meaningful)
                .toList();
    }

    private Measurement meaningful(Measurement merged) {
        Optional<Measurement> old = named(before, merged.symbol());
        Optional<Measurement> fresh = named(anew, merged.symbol());
        boolean meansAnother = old.isPresent()
                && fresh.isPresent()
                && !old.get().label().equals(fresh.get().label());
        return meansAnother ? fresh.get() : merged;
    }

    private static Optional<Measurement> named(DesignDocument document, String symbol) {
        return document.measurements().stream()
                .filter(m -> m.symbol().equals(symbol))
                .findFirst();
    }

    /** In the order of the new draft; those that the maker added stand where they stood, behind the same step. */
    private List<StepRow> steps() {
        List<StepRow> merged =
                new ArrayList<>(merge(this::stepName).rows(before.steps(), own.steps(), anew.steps(), StepRow::key));
        Set<String> drafted = new LinkedHashSet<>();
        Stream.concat(before.steps().stream(), anew.steps().stream()).forEach(step -> drafted.add(step.key()));
        for (int i = 1; i < own.steps().size(); i++) {
            StepRow added = own.steps().get(i);
            String behind = own.steps().get(i - 1).key();
            if (!drafted.contains(added.key())) {
                merged.remove(added);
                int at = merged.stream().map(StepRow::key).toList().indexOf(behind);
                merged.add(at < 0 ? merged.size() : at + 1, added);
            }
        }
        return merged;
    }

    private List<SlotRow> slots() {
        return merge(key -> key).rows(before.slots(), own.slots(), anew.slots(), SlotRow::key);
    }

    private <R extends Record> R part(String name, R old, R mine, R fresh) {
        return merge(key -> key).parts(name, old, mine, fresh);
    }

    private RowMerge merge(UnaryOperator<String> name) {
        return new RowMerge((key, part) -> kept.add(
                part.isEmpty()
                        ? "“" + name.apply(key) + "” was taken out by hand, so the choice doesn’t bring it back."
                        : "“" + name.apply(key) + "”: its " + WORDS.getOrDefault(part, part)
                                + " was changed by hand, so it stays as it is."));
    }

    private String piece(String letter) {
        return Stream.concat(own.pieces().stream(), before.pieces().stream())
                .filter(piece -> piece.letter().equals(letter))
                .map(PieceRow::name)
                .findFirst()
                .orElse(letter);
    }

    private String trim(String letter) {
        return Stream.concat(own.trims().stream(), before.trims().stream())
                .filter(trim -> trim.letter().equals(letter))
                .map(TrimNeed::name)
                .findFirst()
                .orElse(letter);
    }

    private String stepName(String key) {
        return Stream.concat(own.steps().stream(), before.steps().stream())
                .filter(step -> step.key().equals(key))
                .map(StepRow::name)
                .findFirst()
                .orElse(key);
    }
}
