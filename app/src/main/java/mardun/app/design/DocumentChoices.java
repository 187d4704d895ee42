package mardun.app.design;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.app.design.DesignDocument.FormRow;
import mardun.app.design.DesignDocument.MarkRow;
import mardun.app.design.DesignDocument.PanelRow;
import mardun.app.design.DesignDocument.PieceRow;
import mardun.app.design.DesignDocument.SlotRow;
import mardun.app.design.DesignDocument.StepRow;
import mardun.app.problem.FieldReader;
import mardun.core.design.Gather;
import mardun.core.design.Measurement;
import mardun.core.design.OpenChoice;
import mardun.core.design.OpenChoice.Alternative;
import mardun.core.design.OpenChoice.ChosenMeasure;
import mardun.core.design.OpenChoice.LeftOut;
import mardun.core.design.Panel;
import mardun.core.making.StepUses;
import mardun.core.measure.UnitSystem;

/** Carries a design's open choices out: takes from its document what doesn't come with the alternatives that are taken. */
final class DocumentChoices {

    private static final int MOST_CHOICES = 8;
    private static final int MOST_ALTERNATIVES = 8;
    private static final int LONGEST_NAME = 60;

    private DocumentChoices() {}

    /** The document with nothing left open; each row that stays keeps all that was typed. */
    static DesignDocument chosen(DesignDocument d, Map<String, String> picks) {
        LeftOut out = OpenChoice.leftOut(d.leftOpen(), picks);
        Set<String> letters = Renaming.letters(d);
        Set<String> gone = lettersOut(d, out);
        Map<String, String> measures = OpenChoice.measures(d.leftOpen(), picks);
        Map<String, List<String>> after = new LinkedHashMap<>();
        d.steps().forEach(step -> after.put(step.key(), step.after()));
        Map<String, List<String>> mended = OpenChoice.after(after, out.steps());
        return new DesignDocument(
                d.name(),
                d.sort(),
                d.note(),
                d.sizes(),
                d.sizeKeys(),
                d.usualUnits(),
                d.measurements().stream().map(m -> measured(m, measures)).toList(),
                form(d.form(), gone),
                d.pieces().stream()
                        .filter(piece -> !gone.contains(piece.letter()))
                        .map(piece -> piece(piece, gone, out))
                        .toList(),
                d.panels().stream()
                        .filter(panel -> !gone.contains(panel.letter()))
                        .map(panel -> panel(panel, gone, out))
                        .toList(),
                d.trims().stream().filter(trim -> !gone.contains(trim.letter())).toList(),
                d.notions().stream()
                        .filter(notion -> !out.slots().contains(notion.slot()))
                        .toList(),
                d.fillings().stream()
                        .filter(filling -> !out.slots().contains(filling.slot()))
                        .toList(),
                d.zips().stream().filter(zip -> !gone.contains(zip.zip())).toList(),
                d.straps().stream().filter(strap -> !gone.contains(strap.of())).toList(),
                d.casings(),
                d.gathers() == null
                        ? null
                        : d.gathers().stream()
                                .filter(gather -> !touches(gather, gone))
                                .toList(),
                d.steps().stream()
                        .filter(step -> mended.containsKey(step.key()))
                        .map(step -> step(step, mended, letters, gone))
                        .toList(),
                d.slots().stream()
                        .filter(slot -> !out.slots().contains(slot.key()))
                        .toList(),
                d.source(),
                d.forChildren(),
                d.setAside(),
                d.begun(),
                null,
                d.paper());
    }

    /** The letters that aren't there: those of an alternative, and of what is cut of a material that isn't there. */
    private static Set<String> lettersOut(DesignDocument d, LeftOut out) {
        Set<String> gone = new HashSet<>(out.letters());
        d.pieces().stream()
                .filter(piece -> out.slots().contains(piece.slot()))
                .forEach(piece -> gone.add(piece.letter()));
        d.trims().stream().filter(trim -> out.slots().contains(trim.slot())).forEach(trim -> gone.add(trim.letter()));
        return gone;
    }

    private static Measurement measured(Measurement measurement, Map<String, String> measures) {
        String value = measures.get(measurement.symbol());
        return value == null
                ? measurement
                : new Measurement(
                        measurement.symbol(),
                        measurement.label(),
                        measurement.kind(),
                        List.of(value),
                        measurement.options());
    }

    private static FormRow form(FormRow form, Set<String> gone) {
        return new FormRow(
                form.kind(),
                there(form.outer(), gone),
                there(form.lining(), gone),
                there(form.other(), gone),
                form.school(),
                form.base(),
                form.sides(),
                form.measures());
    }

    private static String there(String letter, Set<String> gone) {
        return gone.contains(letter) ? "" : letter;
    }

    private static PieceRow piece(PieceRow piece, Set<String> gone, LeftOut out) {
        PieceRow marked = piece.marked(marks(piece.marks(), out));
        return marked.backs() != null && gone.contains(marked.backs()) ? marked.backingNothing() : marked;
    }

    private static PanelRow panel(PanelRow panel, Set<String> gone, LeftOut out) {
        List<Panel.Part> parts = panel.parts().stream()
                .filter(part -> !gone.contains(part.letter()))
                .toList();
        return panel.of(parts, marks(panel.marks(), out));
    }

    private static List<MarkRow> marks(List<MarkRow> marks, LeftOut out) {
        return marks.stream()
                .filter(mark -> mark.only() == null || !out.alternatives().contains(mark.only()))
                .toList();
    }

    private static boolean touches(Gather gather, Set<String> gone) {
        return gone.contains(gather.of()) || gone.contains(gather.elastic()) || gone.contains(gather.onto());
    }

    private static StepRow step(StepRow step, Map<String, List<String>> after, Set<String> letters, Set<String> gone) {
        return step.placed(step.key(), after.get(step.key()), StepUses.without(step.uses(), letters, gone));
    }

    /** Gathers what can't be meant in the choices of a document. */
    static void check(DesignDocument document, FieldReader fields) {
        List<OpenChoice> choices = document.leftOpen();
        if (choices.size() > MOST_CHOICES) {
            fields.refuse(
                    "openChoices",
                    Integer.toString(choices.size()),
                    "These are " + choices.size() + " choices. A design has at most " + MOST_CHOICES + ".");
        }
        Set<String> keys = new HashSet<>();
        for (int i = 0; i < choices.size(); i++) {
            OpenChoice choice = choices.get(i);
            String place = "openChoices." + i;
            fields.text(place + ".name", choice.name(), LONGEST_NAME);
            unique(choice.key(), keys, place, fields);
            alternatives(choice, keys, place, fields);
        }
    }

    private static void alternatives(OpenChoice choice, Set<String> keys, String place, FieldReader fields) {
        List<Alternative> all = choice.alternatives();
        if (all.size() < 2 || all.size() > MOST_ALTERNATIVES) {
            fields.refuse(
                    place + ".alternatives",
                    Integer.toString(all.size()),
                    "“" + choice.name() + "” has " + all.size() + " to choose from. A choice has from 2 to "
                            + MOST_ALTERNATIVES + ".");
        }
        Set<String> names = new HashSet<>();
        for (int i = 0; i < all.size(); i++) {
            String its = place + ".alternatives." + i;
            String name = fields.text(its + ".name", all.get(i).name(), LONGEST_NAME);
            if (!names.add(name)) {
                fields.refuse(its + ".name", name, "“" + name + "” is there twice. Type another name.");
            }
            unique(all.get(i).key(), keys, its, fields);
        }
        if (all.stream().noneMatch(one -> one.key().equals(choice.usual()))) {
            fields.refuse(place + ".usual", choice.usual(), "Say which of “" + choice.name() + "” is usually taken.");
        }
    }

    private static void unique(String key, Set<String> keys, String place, FieldReader fields) {
        if (key.isBlank() || !keys.add(key)) {
            fields.refuse(
                    place + ".key", key, "Two choices are known by “" + key + "”. Give each of them a key of its own.");
        }
    }

    /** What a document has that its choices may name. */
    private record Named(Set<String> letters, Set<String> slots, Set<String> steps, Map<String, Measurement> symbols) {

        static Named of(DesignDocument document) {
            return new Named(
                    Renaming.letters(document),
                    document.slots().stream().map(SlotRow::key).collect(Collectors.toSet()),
                    document.steps().stream().map(StepRow::key).collect(Collectors.toSet()),
                    document.measurements().stream()
                            .filter(m -> m.kind() != Measurement.Kind.CHOICE)
                            .collect(Collectors.toMap(Measurement::symbol, Function.identity(), (one, other) -> one)));
        }
    }

    /** Gathers what the choices of a document name and it hasn't: in one that comes from elsewhere that is a mistake. */
    static void checkNamed(DesignDocument document, FieldReader fields) {
        Named there = Named.of(document);
        List<OpenChoice> choices = document.leftOpen();
        for (int i = 0; i < choices.size(); i++) {
            List<Alternative> alternatives = choices.get(i).alternatives();
            for (int j = 0; j < alternatives.size(); j++) {
                String place = "openChoices." + i + ".alternatives." + j;
                Alternative one = alternatives.get(j);
                missing(one.letters(), there.letters(), "piece, panel or trim", place + ".letters", fields);
                missing(one.slots(), there.slots(), "material", place + ".slots", fields);
                missing(one.steps(), there.steps(), "step", place + ".steps", fields);
                missing(
                        one.measures().stream().map(ChosenMeasure::symbol).toList(),
                        there.symbols().keySet(),
                        "measurement",
                        place + ".measures",
                        fields);
            }
        }
    }

    private static void missing(List<String> named, Set<String> there, String what, String place, FieldReader fields) {
        named.stream()
                .filter(one -> !there.contains(one))
                .findFirst()
                .ifPresent(one -> fields.refuse(
                        place, one, "There is no " + what + " “" + one + "” in the design that could come with it."));
    }

    /** The document with choices that name only what it has, its bare lengths with the maker's unit. */
    static DesignDocument kept(DesignDocument document, UnitSystem system) {
        if (document.openChoices() == null) {
            return document;
        }
        Named there = Named.of(document);
        Set<String> keys = document.openChoices().stream()
                .flatMap(choice -> choice.alternatives().stream())
                .map(Alternative::key)
                .collect(Collectors.toSet());
        return document.leaving(
                document.openChoices().stream()
                        .map(choice -> new OpenChoice(
                                choice.key(),
                                choice.name(),
                                choice.usual(),
                                choice.alternatives().stream()
                                        .map(one -> kept(one, there, system))
                                        .toList()))
                        .toList(),
                document.pieces().stream()
                        .map(piece -> piece.marked(kept(piece.marks(), keys)))
                        .toList(),
                document.panels().stream()
                        .map(panel -> panel.of(panel.parts(), kept(panel.marks(), keys)))
                        .toList());
    }

    private static List<MarkRow> kept(List<MarkRow> marks, Set<String> keys) {
        return marks.stream()
                .map(mark -> mark.only() == null || keys.contains(mark.only()) ? mark : mark.always())
                .toList();
    }

    private static Alternative kept(Alternative one, Named there, UnitSystem system) {
        return new Alternative(
                one.key(),
                one.name(),
                one.letters().stream().filter(there.letters()::contains).toList(),
                one.slots().stream().filter(there.slots()::contains).toList(),
                one.steps().stream().filter(there.steps()::contains).toList(),
                one.measures().stream()
                        .filter(measure -> there.symbols().containsKey(measure.symbol()))
                        .map(measure -> new ChosenMeasure(
                                measure.symbol(),
                                Measurement.kept(
                                        there.symbols().get(measure.symbol()).kind(), measure.value(), system)))
                        .toList());
    }

    /** What was chosen otherwise than usual, in words: {@code Filling: foam, Closing: magnet}; empty for nothing. */
    static String words(DesignDocument document, Map<String, String> picks) {
        return document.leftOpen().stream()
                .filter(choice ->
                        !choice.taken(picks).key().equals(choice.taken(Map.of()).key()))
                .map(choice -> choice.name() + ": " + choice.taken(picks).name())
                .collect(Collectors.joining(", "));
    }
}
