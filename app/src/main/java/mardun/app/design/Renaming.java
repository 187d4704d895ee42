package mardun.app.design;

import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.design.DesignViews.RenamedPart;
import mardun.app.design.DocumentTexts.Kind;
import mardun.app.problem.FieldReader;
import mardun.core.design.Measurement;
import mardun.core.formula.Formula;
import mardun.core.making.StepUses;

/**
 * Gives a piece, a measurement or a size another name, everywhere at once: in formulas, in how the bag is put together, in
 * what steps use, in what was set aside. It is done whole or refused whole.
 */
final class Renaming {

    private static final Pattern LETTER = Pattern.compile("[\\p{L}\\p{N}]{1,4}");
    private static final Set<String> OF_LETTERS = Set.of("pieces", "panels", "trims", "zips", "straps");

    private Renaming() {}

    /** The letters that the design's pieces, panels and trims have. */
    static Set<String> letters(DesignDocument document) {
        return Stream.of(
                        document.pieces().stream().map(DesignDocument.PieceRow::letter),
                        document.panels().stream().map(DesignDocument.PanelRow::letter),
                        document.trims().stream().map(trim -> trim.letter()))
                .flatMap(letters -> letters)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    static DesignDocument of(RenamedPart form, FieldReader fields) {
        DesignDocument document = form.document();
        String to = form.to().strip();
        if (to.equals(form.from())) {
            return document;
        }
        Set<String> taken = switch (form.what()) {
            case LETTER -> letters(document);
            case MEASUREMENT ->
                document.measurements().stream().map(Measurement::symbol).collect(Collectors.toSet());
            case SIZE -> Set.copyOf(document.sizes());
        };
        if (!taken.contains(form.from())) {
            fields.refuse("from", form.from(), "There is no “" + form.from() + "” any more.");
        } else if (to.isEmpty()) {
            fields.refuse("to", form.to(), "This is empty. Type another name; so far it is “" + form.from() + "”.");
        } else if (taken.contains(to)) {
            fields.refuse(
                    "to", form.to(), "“" + to + "” is taken. Type another name; so far it is “" + form.from() + "”.");
        } else {
            refuseUnfit(form, to, fields);
        }
        fields.check();
        return switch (form.what()) {
            case LETTER -> lettered(document, form.from(), to);
            case MEASUREMENT -> measured(document, form.from(), to);
            case SIZE ->
                DocumentTexts.mapped(
                        document, (kind, text) -> kind == Kind.SIZE && text.equals(form.from()) ? to : text);
        };
    }

    private static void refuseUnfit(RenamedPart form, String to, FieldReader fields) {
        switch (form.what()) {
            case LETTER -> {
                if (!LETTER.matcher(to).matches()) {
                    fields.refuse(
                            "to",
                            form.to(),
                            "“" + to + "” can't stand on a piece. Use up to four letters or digits, like A or 2a.");
                }
            }
            case MEASUREMENT -> {
                if (!DocumentReader.isSymbol(to)) {
                    fields.refuse("to", form.to(), DocumentReader.noSymbol(to));
                }
            }
            case SIZE -> fields.text("to", to, 60);
        }
    }

    private static DesignDocument lettered(DesignDocument document, String from, String to) {
        Set<String> letters = letters(document);
        return DocumentTexts.mapped(document, (kind, text) -> switch (kind) {
            case LETTER -> text.equals(from) ? to : text;
            case USES -> StepUses.renamed(text, letters, letter -> letter.equals(from) ? to : letter);
            case PLACE -> placed(text, OF_LETTERS, from, to);
            default -> text;
        });
    }

    private static DesignDocument measured(DesignDocument document, String from, String to) {
        return DocumentTexts.mapped(document, (kind, text) -> switch (kind) {
            case LENGTH, NUMBER, VALUE -> Formula.renamed(text, from, to);
            case SYMBOL -> text.equals(from) ? to : text;
            case PLACE -> placed(text, Set.of("measurements"), from, to);
            default -> text;
        });
    }

    /** A finding's place names what it is about in its second part: {@code pieces.A.shape}. */
    private static String placed(String place, Set<String> parts, String from, String to) {
        String[] steps = place.split("\\.", 3);
        if (steps.length < 2 || !parts.contains(steps[0]) || !steps[1].equals(from)) {
            return place;
        }
        return steps[0] + "." + to + (steps.length == 3 ? "." + steps[2] : "");
    }
}
