package mardun.app.files;

import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import mardun.app.background.Background;
import mardun.app.backup.BeforeImport;
import mardun.app.files.ImportViews.BrokenOffView;
import mardun.app.files.ImportViews.ColumnView;
import mardun.app.files.ImportViews.ImportLine;
import mardun.app.files.ImportViews.ImportState;
import mardun.app.files.ImportViews.ImportView;
import mardun.app.files.ImportViews.ListView;
import mardun.app.files.ListSheet.LineReader;
import mardun.app.files.ListSheet.Verdict;
import mardun.app.problem.Days;
import mardun.app.problem.RefusedException;
import mardun.app.request.Fingerprint;
import mardun.app.request.LockClash;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes lists in from CSV files: first each line is looked at and what it would do is shown; then they are entered part by
 * part, each in a transaction of its own, so that other work goes on meanwhile. How far a file is stands beside what came from
 * it, so that one that was broken off goes on where it stopped. One file is worked on at a time.
 */
@Service
public class ImportService {

    static final int MOST_BYTES = 20_000_000;

    private static final Logger LOG = LoggerFactory.getLogger(ImportService.class);
    private static final int MOST_JOBS = 8;
    private static final int LINES_IN_A_PART = 500;
    private static final int LINES_HELD = 100;

    private final Map<String, ListSheet> lists = new LinkedHashMap<>();
    private final Map<String, ImportJob> jobs = new LinkedHashMap<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(Background.named("files"));
    private final TransactionTemplate reading;
    private final TransactionTemplate entering;
    private final EntityManager entities;
    private final SettingsService settings;
    private final TakenFileRepository taken;
    private final BeforeImport before;
    private final Clock clock;

    ImportService(
            List<ListSheet> lists,
            PlatformTransactionManager transactions,
            EntityManager entities,
            SettingsService settings,
            TakenFileRepository taken,
            BeforeImport before,
            Clock clock) {
        this.settings = settings;
        this.taken = taken;
        this.before = before;
        this.clock = clock;
        lists.forEach(list -> this.lists.put(list.key(), list));
        this.reading = new TransactionTemplate(transactions);
        this.reading.setReadOnly(true);
        this.entering = new TransactionTemplate(transactions);
        this.entities = entities;
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }

    /** The lists that go out and come in, with their columns. */
    public List<ListView> lists() {
        return lists.values().stream()
                .map(list -> new ListView(
                        list.key(),
                        list.columns().stream()
                                .map(column -> new ColumnView(column.name(), column.required(), column.hint()))
                                .toList()))
                .toList();
    }

    /** A list as a CSV sheet. */
    @Transactional(readOnly = true)
    public String csv(String key) {
        ListSheet list = list(key);
        CsvSheet sheet = new CsvSheet(
                settings.current().decimalMark(),
                list.columns().stream().map(ListSheet.Column::name).toArray(String[]::new));
        list.write(sheet);
        return sheet.text();
    }

    /** Begins to look at a file. */
    public ImportView open(String key, byte[] bytes) {
        ImportJob job = new ImportJob(list(key));
        synchronized (jobs) {
            makeRoom();
            jobs.put(job.id(), job);
        }
        worker.submit(() -> look(job, bytes));
        return job.view();
    }

    /** Forgets the oldest files that nobody works on; one that is being read or entered is never let go. */
    private void makeRoom() {
        Iterator<ImportJob> oldest = jobs.values().iterator();
        while (jobs.size() >= MOST_JOBS && oldest.hasNext()) {
            if (oldest.next().isAtRest()) {
                oldest.remove();
            }
        }
        if (jobs.size() >= MOST_JOBS) {
            throw RefusedException.conflict(
                    MOST_JOBS + " files are being read or entered. Wait until one of them is done, or give one up.");
        }
    }

    public ImportView get(String id) {
        return job(id).view();
    }

    /** Begins to enter what was looked at. */
    public ImportView enter(String id) {
        ImportJob job = job(id);
        if (!job.mayBeEntered()) {
            throw RefusedException.conflict(
                    "This file can't be entered: lines of it are refused, or it was entered already.");
        }
        worker.submit(() -> enter(job));
        return job.view();
    }

    /** Stops working on a file; what is entered stays, and nothing more of it will be. */
    public void giveUp(String id) {
        job(id).giveUp();
    }

    /** Files that were broken off, but for those that are being entered now. */
    @Transactional(readOnly = true)
    public List<BrokenOffView> brokenOff() {
        Set<String> busy;
        synchronized (jobs) {
            busy = jobs.values().stream()
                    .filter(job -> !job.isAtRest())
                    .map(ImportJob::mark)
                    .collect(Collectors.toSet());
        }
        return taken.findBrokenOff().stream()
                .filter(file -> !busy.contains(file.mark()))
                .map(file -> new BrokenOffView(
                        file.mark(), file.list(), file.linesIn(), file.linesTotal(), day(file.touchedAt())))
                .toList();
    }

    /** Leaves a file that was broken off as it is: what is in stays, and the same file would begin anew. */
    @Transactional
    public void forget(String mark) {
        taken.deleteById(mark);
    }

    private LocalDate day(Instant moment) {
        return moment.atZone(clock.getZone()).toLocalDate();
    }

    private void look(ImportJob job, byte[] bytes) {
        try {
            job.opened(
                    SheetFile.read(bytes, job.list().columns()),
                    Fingerprint.of(job.list().key(), bytes));
            reading.executeWithoutResult(status -> {
                taken.findById(job.mark()).ifPresent(before -> remember(job, before));
                lookAtLines(job);
            });
            job.end(job.isGivenUp() ? ImportState.GIVEN_UP : ImportState.READ, null);
        } catch (RefusedException refused) {
            job.end(ImportState.REFUSED, refused.getMessage());
        } catch (RuntimeException unexpected) {
            LOG.error("A file could not be read", unexpected);
            job.end(
                    ImportState.REFUSED,
                    "Something went wrong inside Mardun; nothing of the file was entered. The log says more.");
        }
    }

    private void remember(ImportJob job, TakenFile before) {
        job.cameBefore(
                before.isWhole() ? 0 : before.linesIn(),
                before.touchedAt(),
                before.isWhole()
                        ? "This very file was entered on " + Days.words(day(before.touchedAt()))
                                + ". What is new in it would be entered a second time."
                        : "This file was broken off on " + Days.words(day(before.touchedAt())) + ". "
                                + of(before.linesIn(), before.linesTotal()) + "; it goes on from there.");
    }

    private static void lookAtLines(ImportJob job) {
        job.looked(job.alreadyIn());
        List<SheetLine> lines = rest(job, job.begun());
        LineReader reader = job.list().reader(lines);
        for (SheetLine line : lines) {
            if (job.isGivenUp()) {
                return;
            }
            job.looked(List.of(looked(line, reader.read(line))));
        }
    }

    private static List<SheetLine> rest(ImportJob job, int from) {
        return job.sheetLines().subList(from, job.sheetLines().size());
    }

    private static ImportLine looked(SheetLine line, Verdict verdict) {
        return new ImportLine(line.number(), verdict.kind(), verdict.what(), verdict.reasons());
    }

    /** What became of a part: the lines that are in, and why the one after them isn't. */
    private record Part(List<ImportLine> lines, @Nullable ImportLine refused) {}

    private void enter(ImportJob job) {
        if (wasEnteredMeanwhile(job)) {
            job.end(
                    ImportState.REFUSED,
                    "This file was entered meanwhile, perhaps in another tab. Nothing was entered a second time."
                            + " Bring it once more, and it says what is in.");
            return;
        }
        job.beginToEnter();
        int in = job.begun();
        int total = job.sheetLines().size();
        try {
            before.keep();
            while (in < total && !job.isGivenUp()) {
                Part part = enterPart(job, in);
                job.looked(part.lines());
                in += part.lines().size();
                if (part.refused() != null) {
                    job.end(ImportState.REFUSED, brokenOff(part.refused(), in, total));
                    return;
                }
            }
            job.end(
                    in < total ? ImportState.GIVEN_UP : ImportState.ENTERED,
                    in < total ? "You gave up. " + whatIsIn(in, total) : null);
        } catch (RefusedException notKept) {
            job.end(ImportState.REFUSED, notKept.getMessage() + " " + whatIsIn(in, total));
        } catch (RuntimeException unexpected) {
            LOG.error("A file could not be taken in", unexpected);
            job.end(
                    ImportState.REFUSED,
                    "Something went wrong inside Mardun; the log says more. " + whatIsIn(in, total));
        }
    }

    /** What was looked at isn't what is there: the same file, opened twice, would enter its lines twice. */
    private boolean wasEnteredMeanwhile(ImportJob job) {
        return !Objects.equals(
                taken.findById(job.mark()).map(TakenFile::touchedAt).orElse(null), job.lastTouched());
    }

    private static String brokenOff(ImportLine refused, int in, int total) {
        return "Something changed since the file was looked at, and now row " + refused.number() + " is refused: "
                + String.join(" ", refused.reasons()) + " " + whatIsIn(in, total);
    }

    private static String whatIsIn(int in, int total) {
        return in == 0
                ? "Nothing was entered."
                : of(in, total) + ". Bring the same file again, and it goes on from there.";
    }

    private static String of(int in, int total) {
        return "Of its " + total + " lines the first " + in + " are entered";
    }

    /** Enters some lines in a transaction of their own, and beside them how far the file is. */
    private Part enterPart(ImportJob job, int from) {
        List<SheetLine> lines = rest(job, from);
        List<SheetLine> part = lines.subList(0, Math.min(LINES_IN_A_PART, lines.size()));
        return Objects.requireNonNull(LockClash.retried(() -> entering.execute(status -> enter(job, part, from))));
    }

    private Part enter(ImportJob job, List<SheetLine> lines, int from) {
        LineReader reader = job.list().reader(lines);
        List<ImportLine> entered = new ArrayList<>();
        ImportLine refused = null;
        for (SheetLine line : lines) {
            Verdict verdict = reader.read(line);
            if (verdict.kind() == Verdict.Kind.REFUSE) {
                refused = looked(line, verdict);
                break;
            }
            verdict.apply().run();
            entered.add(looked(line, verdict));
            if (entered.size() % LINES_HELD == 0) {
                entities.flush();
                entities.clear();
            }
        }
        TakenFile file = taken.findById(job.mark())
                .orElseGet(() -> new TakenFile(
                        job.mark(), job.list().key(), job.sheetLines().size()));
        file.entered(from + entered.size(), clock.instant());
        taken.save(file);
        return new Part(entered, refused);
    }

    private ListSheet list(String key) {
        ListSheet list = lists.get(key);
        if (list == null) {
            throw RefusedException.missing("There is no list “" + key + "”.");
        }
        return list;
    }

    private ImportJob job(String id) {
        synchronized (jobs) {
            ImportJob job = jobs.get(id);
            if (job == null) {
                throw RefusedException.missing("This file isn't being worked on any more. Bring it once more.");
            }
            return job;
        }
    }
}
