package mardun.app.demo;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import mardun.app.batch.BatchWork;
import mardun.app.batch.BatchWork.AtWork;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.log.EventKind;
import mardun.app.log.LogEntry;
import mardun.app.log.LoggedSlip;
import mardun.app.log.LoggedSlip.UsedUp;
import mardun.app.log.SlipOutcome;
import mardun.app.note.NoteAbout;
import mardun.app.note.NotePin;
import mardun.app.settings.SettingsService;
import mardun.app.upkeep.UpkeepService;
import mardun.app.upkeep.UpkeepViews.DoneForm;
import mardun.core.making.Machine;
import mardun.core.making.Operation;
import mardun.core.making.Prompt;
import mardun.core.making.SetUp;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.making.Upkeep;
import mardun.core.making.WorkOrder.Turn;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The invented maker at her bench: steps take her as long as they do, and not as long as she thought; the first bags take longer. */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoBench {

    private static final long SEED = 20_260_417;
    private static final double FASTEST = 0.8;
    private static final double SLOWER = 0.55;
    private static final double FIRST_BAG = 0.35;
    private static final double SCATTER = 0.12;

    private final BatchWork work;
    private final UpkeepService upkeep;
    private final SettingsService settings;
    private final TravellingClock clock;
    private final Map<String, Duration> firstGuess = new HashMap<>();

    DemoBench(BatchWork work, UpkeepService upkeep, SettingsService settings, TravellingClock clock) {
        this.work = work;
        this.upkeep = upkeep;
        this.settings = settings;
        this.clock = clock;
    }

    /** Does all that is left of a batch. */
    void sew(LocalDate day, BatchId id) {
        sew(day, id, Integer.MAX_VALUE, 0);
    }

    /**
     * Does a part of a batch.
     *
     * @param operations so many of them for all bags
     * @param more and the next for so many bags
     */
    void sew(LocalDate day, BatchId id, int operations, int more) {
        clock.on(day, () -> {
            Random random = new Random(SEED + id.value());
            List<LogEntry> entries = new ArrayList<>();
            Instant at = clock.instant();
            List<Turn> turns = work.of(id).turns();
            for (int i = 0; i < Math.min(turns.size(), operations + (more > 0 ? 1 : 0)); i++) {
                at = doTurn(turns.get(i), id, i < operations ? Integer.MAX_VALUE : more, at, random, entries);
            }
            work.keep(id, entries);
        });
    }

    /** Does all of a batch; what is done to all bags is timed as one pile. */
    void sewInBulk(LocalDate day, BatchId id) {
        clock.on(day, () -> {
            Random random = new Random(SEED + id.value());
            List<LogEntry> entries = new ArrayList<>();
            Instant at = clock.instant();
            for (Turn turn : work.of(id).turns()) {
                for (Operation.Part part : turn.parts()) {
                    double truth = truth(turn) * scatter(random);
                    // What was learnt from her log must not make her slower again and again.
                    Duration usual = firstGuess.computeIfAbsent(
                            part.line() + " " + part.step().key(),
                            step -> part.step().perUnit());
                    Duration time = scaled(usual, truth * part.units());
                    at = at.plus(time);
                    entries.add(entry(id, turn, part, EventKind.WORKED, part.units(), time, at, null));
                }
            }
            work.keep(id, entries);
        });
    }

    /**
     * Something goes wrong with a bag.
     *
     * @param step the beginning of the step's name
     */
    void slip(LocalDate day, BatchId id, int line, String step, SlipOutcome outcome, String reason, int minutes) {
        clock.on(day, () -> {
            AtWork at = work.of(id);
            Step its = step(at, line, step);
            List<UsedUp> lost = outcome == SlipOutcome.SCRAP
                    ? at.takes().get(line).stream()
                            .map(need ->
                                    new UsedUp(MaterialId.valueOf(need.supply().key()), need.part()))
                            .toList()
                    : List.of();
            keep(
                    id,
                    line,
                    its,
                    EventKind.SLIPPED,
                    outcome == SlipOutcome.MENDED ? Duration.ofMinutes(minutes) : Duration.ZERO,
                    reason,
                    new LoggedSlip(outcome, lost, null),
                    null);
        });
    }

    /**
     * The maker notes something for next time.
     *
     * @param step the beginning of the step's name
     */
    void note(LocalDate day, BatchId id, String step, String text) {
        clock.on(day, () -> {
            AtWork at = work.of(id);
            Step its = step(at, 1, step);
            NotePin pin = new NotePin(
                    NoteAbout.STEP, at.planned().line(1).chosen().designId(), its.key(), its.name(), "", null, "");
            keep(id, 1, its, EventKind.NOTED, Duration.ZERO, text, null, pin);
        });
    }

    /** Something of a machine is changed or cared for; of the cutting table where there is no such machine. */
    void careFor(LocalDate day, String machine, Upkeep.Kind kind, String note) {
        clock.on(day, () -> {
            String place = settings.current().equipment().machines().stream()
                    .filter(one -> one.name().equals(machine))
                    .findFirst()
                    .map(Machine::key)
                    .orElse(Station.CUTTING_TABLE.name());
            upkeep.done(new DoneForm(UUID.randomUUID(), place, kind, note));
        });
    }

    private static Step step(AtWork at, int line, String name) {
        return at.planned().line(line).design().steps().stream()
                .filter(step -> step.name().startsWith(name))
                .findFirst()
                .orElseThrow();
    }

    private void keep(
            BatchId id,
            int line,
            Step step,
            EventKind kind,
            Duration time,
            String reason,
            @Nullable LoggedSlip slip,
            @Nullable NotePin pin) {
        Map<UUID, String> refused = work.keep(
                id,
                List.of(new LogEntry(
                        UUID.randomUUID(),
                        id,
                        line,
                        step.key(),
                        step.name(),
                        kind,
                        slip == null ? 0 : 1,
                        time.toMillis(),
                        false,
                        clock.instant(),
                        "",
                        null,
                        null,
                        reason,
                        slip,
                        pin,
                        null)));
        if (!refused.isEmpty()) {
            throw new IllegalStateException("The demo's slip was refused: " + refused);
        }
    }

    private static Instant doTurn(
            Turn turn, BatchId id, int most, Instant from, Random random, List<LogEntry> entries) {
        Instant at = from;
        double truth = truth(turn);
        if (!turn.changes().isEmpty()) {
            Duration time = scaled(turn.once(), truth * scatter(random));
            at = at.plus(time);
            entries.add(entry(
                    id,
                    turn,
                    turn.parts().get(0),
                    EventKind.SET_UP,
                    0,
                    time,
                    at,
                    turn.setUp().on()));
        }
        int bag = 0;
        for (Operation.Part part : turn.parts()) {
            for (int i = 0; i < part.units() && bag < most; i++) {
                bag++;
                double first = 1 + FIRST_BAG / (bag * bag);
                Duration time = scaled(part.step().perUnit(), truth * first * scatter(random));
                at = at.plus(time);
                entries.add(entry(id, turn, part, EventKind.WORKED, 1, time, at, null));
            }
        }
        return at;
    }

    /** The same step takes the same time in every batch, whatever was guessed. */
    private static double truth(Turn turn) {
        return FASTEST + SLOWER * new Random(turn.step().name().hashCode()).nextDouble();
    }

    private static double scatter(Random random) {
        return Math.max(0.5, 1 + SCATTER * random.nextGaussian());
    }

    private static Duration scaled(Duration time, double factor) {
        return Duration.ofMillis(Math.round(time.toMillis() * factor));
    }

    private static LogEntry entry(
            BatchId id,
            Turn turn,
            Operation.Part part,
            EventKind kind,
            int bags,
            Duration time,
            Instant at,
            @Nullable Map<SetUp.Part, String> puts) {
        return new LogEntry(
                UUID.randomUUID(),
                id,
                part.line(),
                part.step().key(),
                part.step().name(),
                kind,
                bags,
                time.toMillis(),
                false,
                at,
                turn.at().key(),
                puts,
                null,
                "",
                null,
                null,
                part.step().gates().stream().map(Prompt::text).toList());
    }
}
