package mardun.app.files;

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

/** A file on its way in; asked for its progress by one thread while another works on it. */
final class ImportJob {

    private final String id = UUID.randomUUID().toString();
    private final ListSheet list;
    private final List<ImportLine> lines = new ArrayList<>();
    private final Map<Verdict.Kind, Integer> counts = new EnumMap<>(Verdict.Kind.class);
    private ImportState state = ImportState.READING;
    private @Nullable SheetFile file;
    private @Nullable String refusal;
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

    synchronized void opened(SheetFile opened) {
        file = opened;
    }

    synchronized List<SheetLine> sheetLines() {
        return file == null ? List.of() : file.lines();
    }

    /** Begins to look at the lines, or to look at them again. */
    synchronized void begin(ImportState newState) {
        state = newState;
        done = 0;
        counts.clear();
        lines.clear();
    }

    synchronized void looked(ImportLine line) {
        lines.add(line);
        counts.merge(line.verdict(), 1, Integer::sum);
        done++;
    }

    synchronized void end(ImportState newState, @Nullable String newRefusal) {
        state = newState;
        refusal = newRefusal;
    }

    /** Whether what was read may be entered; whoever asks first enters it. */
    synchronized boolean mayBeEntered() {
        boolean may = state == ImportState.READ && counts.getOrDefault(Verdict.Kind.REFUSE, 0) == 0;
        if (may) {
            state = ImportState.ENTERING;
        }
        return may;
    }

    synchronized void giveUp() {
        givenUp = true;
        if (state == ImportState.READ) {
            state = ImportState.GIVEN_UP;
        }
    }

    synchronized boolean isGivenUp() {
        return givenUp;
    }

    /** How far it is, with some of its lines: those that are refused first. */
    synchronized ImportView view(int mostLines) {
        boolean lookedAtAll = state != ImportState.READING && state != ImportState.ENTERING;
        return new ImportView(
                id,
                list.key(),
                state,
                done,
                sheetLines().size(),
                counts.getOrDefault(Verdict.Kind.ADD, 0),
                counts.getOrDefault(Verdict.Kind.CHANGE, 0),
                counts.getOrDefault(Verdict.Kind.SAME, 0),
                counts.getOrDefault(Verdict.Kind.REFUSE, 0),
                refusal,
                file == null ? null : separatorWord(file.separator()),
                file == null ? null : file.encoding().displayName(),
                file == null ? List.of() : file.unknown(),
                lookedAtAll
                        ? lines.stream()
                                .sorted(Comparator.comparing(
                                        (ImportLine line) -> line.verdict() != Verdict.Kind.REFUSE))
                                .limit(mostLines)
                                .toList()
                        : List.of());
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
