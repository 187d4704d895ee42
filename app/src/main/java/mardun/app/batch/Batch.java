package mardun.app.batch;

import jakarta.persistence.CascadeType;
import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OneToOne;
import jakarta.persistence.OrderBy;
import jakarta.persistence.Version;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.plan.ChosenLine;
import mardun.core.making.OrderWishes;
import org.hibernate.annotations.BatchSize;
import org.jspecify.annotations.Nullable;

/** Bags that are made together: one line, or several designs, sizes and cloths. */
@Entity
class Batch {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version
    private long version;

    /** Counts what was changed of its lines, so that its version changes with them. */
    private long changes;

    @Enumerated(EnumType.STRING)
    private BatchStage stage;

    private LocalDate dueOn;
    private String forWhat;

    @OneToOne(fetch = FetchType.LAZY, cascade = CascadeType.ALL, orphanRemoval = true)
    private @Nullable FrozenBatch frozen;

    @Convert(converter = LotNumbers.class)
    private List<LotId> offcuts;

    private Instant createdAt;
    private Instant cutAt;
    private Instant finishedAt;
    private Instant pausedAt;
    private BatchId partedFrom;

    @Lob
    @Column(length = Integer.MAX_VALUE)
    @Convert(converter = StoredWishes.class)
    private OrderWishes orderWishes = OrderWishes.NONE;

    private boolean comesFirst;
    private @Nullable Long plannedSeconds;
    private @Nullable Long tookSeconds;

    @OneToMany(mappedBy = "batch", cascade = CascadeType.ALL, orphanRemoval = true)
    @OrderBy("position, number")
    @BatchSize(size = 200)
    private List<StoredLine> lines = new ArrayList<>();

    protected Batch() {}

    Batch(Instant createdAt) {
        this.stage = BatchStage.PLANNED;
        this.createdAt = createdAt;
        this.offcuts = List.of();
    }

    /** What a form says about a batch, read and checked. */
    record Entered(List<ChosenLine> lines, Optional<LocalDate> dueOn, String forWhat, List<LotId> offcuts) {}

    /** Takes what was typed; a line that it had keeps its number, and one that isn't there any more goes. */
    void enter(Entered entered) {
        wantedFor(entered.dueOn(), entered.forWhat());
        offcuts = entered.offcuts();
        Set<Integer> kept = entered.lines().stream().map(ChosenLine::number).collect(Collectors.toSet());
        lines.removeIf(line -> !kept.contains(line.number()));
        int position = 0;
        for (ChosenLine chosen : entered.lines()) {
            int its = position++;
            line(chosen.number())
                    .ifPresentOrElse(
                            line -> line.enter(chosen, its), () -> lines.add(new StoredLine(this, chosen, its)));
        }
        changes++;
    }

    /** A line as it is chosen now, at its place; one that isn't there yet comes to it. */
    void put(ChosenLine chosen, int position) {
        line(chosen.number())
                .ifPresentOrElse(
                        line -> line.enter(chosen, position), () -> lines.add(new StoredLine(this, chosen, position)));
        lines.sort(Comparator.comparing(StoredLine::position).thenComparing(StoredLine::number));
        changes++;
    }

    /** A line goes out of it. */
    void takeOut(int number) {
        lines.removeIf(line -> line.number() == number);
        changes++;
    }

    /** Whether the maker does it before all others, whatever day it is wanted. */
    boolean comesFirst() {
        return comesFirst;
    }

    void comeFirst(boolean first) {
        comesFirst = first;
    }

    OrderWishes orderWishes() {
        return orderWishes;
    }

    /** What is wanted of its order from now on. */
    void wish(OrderWishes wishes) {
        orderWishes = wishes;
    }

    /** Which offcuts and precuts it is cut from first. */
    void cutFrom(List<LotId> lots) {
        offcuts = lots;
    }

    /** The day it is wanted and what it is for may change as long as it isn't finished, whatever was cut. */
    void wantedFor(Optional<LocalDate> newDueOn, String newForWhat) {
        dueOn = newDueOn.orElse(null);
        forWhat = newForWhat;
    }

    /** Prices may change whatever was cut. */
    void rePrice(int number, Optional<Long> ownPriceMinor) {
        line(number).ifPresent(line -> line.rePrice(ownPriceMinor));
        changes++;
    }

    private void freeze(String inputs) {
        if (frozen == null) {
            frozen = new FrozenBatch(inputs);
        } else {
            frozen.become(inputs);
        }
    }

    /** Some of its cloths, or all, are cut. */
    void cut(String frozenInputs, boolean all, Instant now) {
        stage = all ? BatchStage.CUT : BatchStage.CUTTING;
        freeze(frozenInputs);
        if (all) {
            cutAt = now;
        }
        changes++;
    }

    /** Is the part of another batch whose cloth is cut, and is as far as that one. */
    void partOf(Batch other, String frozenInputs) {
        partedFrom = other.id();
        stage = other.stage;
        freeze(frozenInputs);
        cutAt = other.cutAt;
        dueOn = other.dueOn;
        forWhat = other.forWhat;
    }

    /** So many bags of a line are done. */
    void done(int number, int good, int seconds, int scrap) {
        line(number).orElseThrow().done(good, seconds, scrap);
        changes++;
    }

    /** How long it was planned to take, and took: told where anything of it was timed. */
    void took(Duration planned, Duration worked) {
        plannedSeconds = planned.toSeconds();
        tookSeconds = worked.toSeconds();
    }

    /**
     * All is done.
     *
     * @param frozenInputs what the plan was worked out from, with what everything really cost
     */
    void finish(String frozenInputs, Instant now) {
        freeze(frozenInputs);
        stage = BatchStage.FINISHED;
        finishedAt = now;
        pausedAt = null;
    }

    /**
     * None of it is made.
     *
     * @param frozenInputs what the plan was worked out from, with what everything really cost
     */
    void drop(String frozenInputs, Instant now) {
        finish(frozenInputs, now);
        stage = BatchStage.DROPPED;
    }

    /** It isn't made, and nothing of it is cut. */
    void giveUp(Instant now) {
        stage = BatchStage.DROPPED;
        finishedAt = now;
        pausedAt = null;
    }

    /** Whether it was given up before anything was cut. */
    boolean isGivenUp() {
        return stage == BatchStage.DROPPED && frozen == null;
    }

    /** It is made after all. */
    void planAgain() {
        stage = BatchStage.PLANNED;
        finishedAt = null;
    }

    /** Some of it is made after all. */
    void takeUp(boolean allCut) {
        stage = allCut ? BatchStage.CUT : BatchStage.CUTTING;
        finishedAt = null;
    }

    /** Cut pieces of its lines moved, or their numbers changed. */
    void linesChanged() {
        changes++;
    }

    void pause(Instant now) {
        pausedAt = now;
    }

    void resume() {
        pausedAt = null;
    }

    BatchId id() {
        return new BatchId(id);
    }

    long version() {
        return version;
    }

    BatchStage stage() {
        return stage;
    }

    Optional<LocalDate> dueOn() {
        return Optional.ofNullable(dueOn);
    }

    String forWhat() {
        return forWhat;
    }

    boolean isPaused() {
        return pausedAt != null;
    }

    List<LotId> offcuts() {
        return offcuts;
    }

    Optional<String> frozen() {
        return Optional.ofNullable(frozen).map(FrozenBatch::document);
    }

    Instant createdAt() {
        return createdAt;
    }

    Optional<Instant> cutAt() {
        return Optional.ofNullable(cutAt);
    }

    Optional<Instant> finishedAt() {
        return Optional.ofNullable(finishedAt);
    }

    List<StoredLine> lines() {
        return lines;
    }

    /** The batch that it was parted from when its cloth was cut. */
    Optional<BatchId> partedFrom() {
        return Optional.ofNullable(partedFrom);
    }

    Optional<StoredLine> line(int number) {
        return lines.stream().filter(line -> line.number() == number).findFirst();
    }

    /** A number that no line has, and none had before while this one is there. */
    int freeNumber() {
        return lines.stream().mapToInt(StoredLine::number).max().orElse(0) + 1;
    }
}
