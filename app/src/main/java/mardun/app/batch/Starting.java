package mardun.app.batch;

import java.math.BigDecimal;
import java.util.List;
import mardun.app.batch.BatchRepository.Lost;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.StartViews.ChanceView;
import mardun.app.batch.StartViews.StartView;
import mardun.app.id.DesignId;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.estimate.Spoilage;
import mardun.core.estimate.StartEnough;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How many bags of a line to begin so that enough come out, by what became of those that were begun before. */
@Service
public class Starting {

    private final BatchEntry entry;
    private final BatchRepository repository;
    private final SettingsService settings;
    private final Remembered<Boolean, List<Lost>> known;

    Starting(BatchEntry entry, BatchRepository repository, SettingsService settings, Changes changes) {
        this.entry = entry;
        this.repository = repository;
        this.settings = settings;
        this.known = new Remembered<>(changes, "batch_line");
    }

    /**
     * How many to begin.
     *
     * @param line which of the form's lines, from 0
     * @param likelihood how likely it shall be that enough come out, in percent
     */
    @Transactional(readOnly = true)
    StartView of(BatchForm form, int line, int likelihood) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        Planned planned = entry.preview(form, current);
        if (line >= planned.lines().size()) {
            throw RefusedException.missing("The batch has no such line.");
        }
        PlannedLine its = planned.lines().get(line);
        Spoilage spoilage = spoilage(its.chosen().designId());
        int wanted = its.chosen().wanted();
        StartEnough enough = StartEnough.of(wanted, spoilage, BigDecimal.valueOf(likelihood, 2));
        int started = its.chosen().started();
        return new StartView(
                wanted,
                started,
                writer.percent(StartEnough.chance(wanted, started, spoilage)),
                enough.isReached() ? enough.start().value() : null,
                enough.chances().stream()
                        .map(chance -> new ChanceView(chance.start(), writer.percent(chance.enough())))
                        .toList(),
                writer.percent(spoilage.share()),
                spoilage.bags(),
                spoilage.lost(),
                writer.working(enough.start().working()));
    }

    /** How likely it is that so many bags of a design come out of those that are under way. */
    @Transactional(readOnly = true)
    public BigDecimal chance(DesignId design, int wanted, int underWay) {
        return StartEnough.chance(wanted, underWay, spoilage(design));
    }

    /** What share of a design's bags doesn't come out: what is known of all designs counts as long as little is known of it. */
    private Spoilage spoilage(DesignId design) {
        List<Lost> all = known.get(true, every -> repository.lost());
        int bags = Math.toIntExact(all.stream().mapToLong(Lost::bags).sum());
        int lost = Math.toIntExact(all.stream().mapToLong(Lost::lost).sum());
        BigDecimal usual = Spoilage.of(Spoilage.USUAL, bags, lost).share();
        return all.stream()
                .filter(one -> one.designId().equals(design))
                .findFirst()
                .map(one -> Spoilage.of(usual, Math.toIntExact(one.bags()), Math.toIntExact(one.lost())))
                .orElseGet(() -> Spoilage.of(usual, 0, 0));
    }
}
