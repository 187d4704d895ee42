package mardun.app.files;

import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import mardun.app.files.ImportViews.ColumnView;
import mardun.app.files.ImportViews.ImportLine;
import mardun.app.files.ImportViews.ImportState;
import mardun.app.files.ImportViews.ImportView;
import mardun.app.files.ImportViews.ListView;
import mardun.app.files.ListSheet.LineReader;
import mardun.app.files.ListSheet.Verdict;
import mardun.app.problem.RefusedException;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes lists in from CSV files: first each line is looked at and what it would do is shown; then all of them are
 * entered in one transaction, or none. One file is worked on at a time.
 */
@Service
public class ImportService {

    static final int MOST_BYTES = 20_000_000;

    private static final Logger LOG = LoggerFactory.getLogger(ImportService.class);
    private static final int MOST_JOBS = 8;
    private static final int LINES_HELD = 200;

    private final Map<String, ListSheet> lists = new LinkedHashMap<>();
    private final Map<String, ImportJob> jobs = new LinkedHashMap<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "files");
        thread.setDaemon(true);
        return thread;
    });
    private final TransactionTemplate reading;
    private final TransactionTemplate entering;
    private final EntityManager entities;
    private final SettingsService settings;

    ImportService(
            List<ListSheet> lists,
            PlatformTransactionManager transactions,
            EntityManager entities,
            SettingsService settings) {
        this.settings = settings;
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

    /** Begins to enter what was looked at; all of it or nothing. */
    public ImportView enter(String id) {
        ImportJob job = job(id);
        if (!job.mayBeEntered()) {
            throw RefusedException.conflict(
                    "This file can't be entered: lines of it are refused, or it was entered already.");
        }
        worker.submit(() -> enter(job));
        return job.view();
    }

    /** Stops working on a file; what wasn't entered yet won't be. */
    public void giveUp(String id) {
        job(id).giveUp();
    }

    private void look(ImportJob job, byte[] bytes) {
        try {
            job.opened(SheetFile.read(bytes, job.list().columns()));
            reading.executeWithoutResult(status -> look(job, false));
            job.end(job.isGivenUp() ? ImportState.GIVEN_UP : ImportState.READ, null);
        } catch (RefusedException refused) {
            job.end(ImportState.REFUSED, refused.getMessage());
        } catch (RuntimeException unexpected) {
            failed(job, unexpected);
        }
    }

    private void enter(ImportJob job) {
        try {
            job.begin(ImportState.ENTERING);
            boolean entered = Boolean.TRUE.equals(entering.execute(status -> {
                boolean whole = look(job, true);
                if (!whole) {
                    status.setRollbackOnly();
                }
                return whole;
            }));
            if (entered) {
                job.end(ImportState.ENTERED, null);
            } else if (job.isGivenUp()) {
                job.end(ImportState.GIVEN_UP, "You gave up; nothing was entered.");
            } else {
                job.end(
                        ImportState.READ,
                        "Something changed since the file was looked at, and now lines are refused. Nothing was entered.");
            }
        } catch (RefusedException refused) {
            job.end(ImportState.REFUSED, refused.getMessage() + " Nothing was entered.");
        } catch (RuntimeException unexpected) {
            failed(job, unexpected);
        }
    }

    private static void failed(ImportJob job, RuntimeException unexpected) {
        LOG.error("A file could not be taken in", unexpected);
        job.end(
                ImportState.REFUSED,
                "Something went wrong inside Mardun; nothing of the file was entered. The log says more.");
    }

    /** Looks at all lines and applies them if asked to; answers whether none was refused and nobody gave up. */
    private boolean look(ImportJob job, boolean apply) {
        LineReader reader = job.list().reader();
        boolean whole = true;
        int held = 0;
        for (SheetLine line : job.sheetLines()) {
            if (job.isGivenUp()) {
                return false;
            }
            Verdict verdict = reader.read(line);
            whole = whole && verdict.kind() != Verdict.Kind.REFUSE;
            if (apply && whole) {
                verdict.apply().run();
            }
            job.looked(new ImportLine(line.number(), verdict.kind(), verdict.what(), verdict.reasons()));
            held++;
            if (apply && held % LINES_HELD == 0) {
                entities.flush();
                entities.clear();
            }
        }
        return whole;
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
