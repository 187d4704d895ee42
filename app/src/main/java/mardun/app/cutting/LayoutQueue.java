package mardun.app.cutting;

import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import mardun.app.background.Background;
import mardun.app.id.BatchId;
import mardun.app.problem.RefusedException;
import mardun.core.cutting.Aim;
import mardun.core.cutting.CuttingLayout;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Searches for layouts, one batch after another, beside a server that goes on answering. */
@Component
public class LayoutQueue {

    private static final Logger LOG = LoggerFactory.getLogger(LayoutQueue.class);

    /** So many batches' last runs can be asked about; each holds its pieces and cloths. */
    private static final int MOST_REMEMBERED = 16;

    private final CuttingSheets sheets;
    private final Map<BatchId, LayoutRun> runs = new ConcurrentHashMap<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(Background.quiet("layout-search"));

    LayoutQueue(CuttingSheets sheets) {
        this.sheets = sheets;
    }

    /**
     * Begins to lay out a batch's cloths, or goes on with the run that is under way.
     *
     * @param seconds for each cloth, about
     * @param keeping keeps what is found where it is still wanted: a batch may be cut, or given up, meanwhile
     */
    public LayoutRun begin(
            BatchId batchId, List<LayoutRun.Task> tasks, Aim aim, double seconds, Consumer<Runnable> keeping) {
        forgetTheOldRuns();
        return runs.compute(batchId, (id, before) -> {
            if (before != null && before.state() != LayoutRun.State.ENDED) {
                return before;
            }
            LayoutRun run = new LayoutRun(tasks, aim, seconds);
            worker.execute(() -> work(batchId, run, aim, keeping));
            return run;
        });
    }

    private void forgetTheOldRuns() {
        if (runs.size() >= MOST_REMEMBERED) {
            runs.values().removeIf(run -> run.state() == LayoutRun.State.ENDED);
        }
    }

    private void work(BatchId batchId, LayoutRun run, Aim aim, Consumer<Runnable> keeping) {
        try {
            run.run((task, layouts) -> keep(batchId, task, layouts, aim, keeping));
        } catch (RuntimeException failed) {
            LOG.error("Laying out batch {} failed", batchId, failed);
        }
    }

    private void keep(
            BatchId batchId,
            LayoutRun.Task task,
            Map<Aim, CuttingLayout> layouts,
            Aim aim,
            Consumer<Runnable> keeping) {
        try {
            keeping.accept(() -> sheets.put(batchId, task.materialId(), layouts, aim));
        } catch (RefusedException begun) {
            LOG.info("Batch {} is being cut by the layout that is there, so it stays", batchId);
        }
    }

    /** The last run for a batch since the application started. */
    public Optional<LayoutRun> of(BatchId batchId) {
        return Optional.ofNullable(runs.get(batchId));
    }

    /** Stops a run; what it found is kept. */
    public void stop(BatchId batchId) {
        of(batchId).ifPresent(LayoutRun::stop);
    }

    @PreDestroy
    void close() {
        runs.values().forEach(LayoutRun::stop);
        worker.shutdownNow();
    }
}
