package mardun.app.files;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.files.ImportViews.ImportLine;
import mardun.app.files.ImportViews.ImportState;
import mardun.app.files.ImportViews.ImportView;
import mardun.app.files.ListSheet.Verdict;
import org.jspecify.annotations.Nullable;

/**
 * A file on its way in; asked for its progress by one thread while another works on it. Once it is over it keeps only what is
 * shown of it.
 */
final class ImportJob {

    private static final int LINES_SHOWN = 200;

    /** What a file turned out to be. */
    private record Seen(int lines, String separator, String encoding, List<String> unknown) {}

    private final String id = UUID.randomUUID().toString();
    private final ListSheet list;
    private final List<ImportLine> lines = new ArrayList<>();
    private final Map<Verdict.Kind, Integer> counts = new EnumMap<>(Verdict.Kind.class);
    private ImportState state = ImportState.READING;
    private List<SheetLine> sheetLines = List.of();
    private @Nullable Seen seen;
    private @Nullable String refusal;
    private @Nullable String note;
    private String mark = "";
    private int begun;
    private @Nullable Instant lastTouched;
    private int done;
    private boolean givenUp;

    ImportJob(ListSheet list) {
        this.list = list;
    }

    String id() {
        return id;
    }

    ListSheet list() {
        return list;
    }

    /** @param newMark by which the same file is known again */
    synchronized void opened(SheetFile opened, String newMark) {
        mark = newMark;
        sheetLines = opened.lines();
        seen = new Seen(
                sheetLines.size(),
                separatorWord(opened.separator()),
                opened.encoding().displayName(),
                opened.unknown());
    }

    synchronized List<SheetLine> sheetLines() {
        return sheetLines;
    }

    synchronized String mark() {
        return mark;
    }

    /**
     * This very file came before.
     *
     * @param entered how many of its lines are in and aren't entered again
     * @param touched when the last of them was entered
     */
    synchronized void cameBefore(int entered, Instant touched, String what) {
        begun = entered;
        lastTouched = touched;
        note = what;
    }

    /** How many of its lines, from the first, aren't entered because they are in already. */
    synchronized int begun() {
        return begun;
    }

    /** When the last line of this file was entered, as it stood when it was looked at; null for never. */
    synchronized @Nullable Instant lastTouched() {
        return lastTouched;
    }

    /** Begins to enter what was looked at: what was found out about its lines is found out anew. */
    synchronized void beginToEnter() {
        done = 0;
        counts.clear();
        lines.clear();
        looked(alreadyIn());
    }

    /** The lines that were entered when the same file came before. */
    synchronized List<ImportLine> alreadyIn() {
        return sheetLines.stream()
                .limit(begun)
                .map(line -> new ImportLine(
                        line.number(), Verdict.Kind.SAME, "row " + line.number(), List.of("is in already")))
                .toList();
    }

    synchronized void looked(List<ImportLine> more) {
        for (ImportLine line : more) {
            lines.add(line);
            counts.merge(line.verdict(), 1, Integer::sum);
            done++;
        }
    }

    synchronized void end(ImportState newState, @Nullable String newRefusal) {
        state = newState;
        refusal = newRefusal;
        freeWhatIsOver();
    }

    /** Whether nothing more will happen to it unless the maker says so. */
    synchronized boolean isAtRest() {
        return state != ImportState.READING && state != ImportState.ENTERING;
    }

    private void freeWhatIsOver() {
        if (isAtRest() && state != ImportState.READ) {
            List<ImportLine> shown = shown();
            lines.clear();
            lines.addAll(shown);
            sheetLines = List.of();
        }
    }

    private List<ImportLine> shown() {
        return lines.stream()
                .sorted(Comparator.comparing((ImportLine line) -> line.verdict() != Verdict.Kind.REFUSE))
                .limit(LINES_SHOWN)
                .toList();
    }

    /** Whether what was read may be entered; whoever asks first enters it, and from then on no line counts as done. */
    synchronized boolean mayBeEntered() {
        boolean may = state == ImportState.READ && counts.getOrDefault(Verdict.Kind.REFUSE, 0) == 0;
        if (may) {
            state = ImportState.ENTERING;
            done = begun;
        }
        return may;
    }

    synchronized void giveUp() {
        givenUp = true;
        if (state == ImportState.READ) {
            state = ImportState.GIVEN_UP;
            freeWhatIsOver();
        }
    }

    synchronized boolean isGivenUp() {
        return givenUp;
    }

    /** How far it is, with some of its lines: those that are refused first. */
    synchronized ImportView view() {
        return new ImportView(
                id,
                list.key(),
                state,
                done,
                seen == null ? 0 : seen.lines(),
                counts.getOrDefault(Verdict.Kind.ADD, 0),
                counts.getOrDefault(Verdict.Kind.CHANGE, 0),
                counts.getOrDefault(Verdict.Kind.SAME, 0),
                counts.getOrDefault(Verdict.Kind.REFUSE, 0),
                refusal,
                note,
                seen == null ? null : seen.separator(),
                seen == null ? null : seen.encoding(),
                seen == null ? List.of() : seen.unknown(),
                isAtRest() ? shown() : List.of());
    }

    private static String separatorWord(char separator) {
        return switch (separator) {
            case ';' -> "semicolon";
            case '\t' -> "tab";
            case '|' -> "bar";
            default -> "comma";
        };
    }
}
