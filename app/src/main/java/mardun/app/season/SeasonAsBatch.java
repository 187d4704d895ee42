package mardun.app.season;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchReading;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.LineForm;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.batch.OpenWork;
import mardun.app.batch.TypedBatches;
import mardun.app.cutting.QuickLayouts;
import mardun.app.days.DayPlans;
import mardun.app.days.DayPlans.Laid;
import mardun.app.days.TapeWriter;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.plan.Planned;
import mardun.app.problem.RefusedException;
import mardun.app.season.SeasonKinds.SeasonKind;
import mardun.app.season.SeasonReading.Asked;
import mardun.app.season.SeasonViews.SeasonDelay;
import mardun.app.season.SeasonViews.SeasonLaidOut;
import mardun.app.season.SeasonViews.SeasonTakes;
import mardun.app.selling.FairRecords.FairRecord;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.batch.Need;
import mardun.core.making.WorkOrder.Ordered;
import mardun.core.material.Amount;
import mardun.core.season.BatchTakes;
import org.springframework.stereotype.Component;

/** The numbers of a plan as the batch that would be made of them: its lines, what it takes, and where it would lie on the coming days. */
@Component
class SeasonAsBatch {

    private static final int LONGEST_FOR_WHAT = 120;
    private static final double SECONDS = 60;
    private static final int FEWEST_DAYS = 14;
    private static final int MOST_DAYS = 28;
    private static final String NAME = "These bags";
    private static final String GREY = "#9fb0b0";

    private final TypedBatches typed;
    private final QuickLayouts layouts;
    private final DayPlans days;
    private final BatchReading batches;
    private final TapeWriter tapes;
    private final MaterialService materials;
    private final SettingsService settings;
    private final Clock clock;

    SeasonAsBatch(
            TypedBatches typed,
            QuickLayouts layouts,
            DayPlans days,
            BatchReading batches,
            TapeWriter tapes,
            MaterialService materials,
            SettingsService settings,
            Clock clock) {
        this.typed = typed;
        this.layouts = layouts;
        this.days = days;
        this.batches = batches;
        this.tapes = tapes;
        this.materials = materials;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * The batch, a line for each kind, due the day before the first fair.
     *
     * @throws RefusedException if no bag is made
     */
    BatchForm form(UUID requestId, Asked asked, int[] made) {
        List<LineForm> lines = new ArrayList<>();
        for (int item = 0; item < made.length; item++) {
            SeasonKind kind = asked.kinds().get(item);
            if (made[item] > 0) {
                lines.add(new LineForm(
                        null,
                        kind.size().designId(),
                        null,
                        kind.size().nameOfSize(),
                        Integer.toString(made[item]),
                        null,
                        materials(kind),
                        "",
                        null,
                        null));
            }
        }
        if (lines.isEmpty()) {
            throw RefusedException.conflict("No bag is to be made. Type how many of at least one kind.");
        }
        String forWhat = asked.fairs().stream().map(FairRecord::name).collect(Collectors.joining(", "));
        LocalDate today = LocalDate.now(clock);
        LocalDate due = asked.fairs().stream()
                .map(fair -> fair.heldOn().minusDays(1))
                .min(Comparator.naturalOrder())
                .orElse(asked.until());
        return new BatchForm(
                requestId,
                0,
                null,
                lines,
                due.isBefore(today) ? today : due,
                forWhat.substring(0, Math.min(LONGEST_FOR_WHAT, forWhat.length())),
                List.of());
    }

    /** The design's usual materials, with the kind's own outer cloth. */
    private static List<SlotChoice> materials(SeasonKind kind) {
        Map<String, MaterialId> chosen = new LinkedHashMap<>(kind.size().materials());
        kind.clothId().ifPresent(cloth -> chosen.put(kind.size().outer(), cloth));
        return chosen.entrySet().stream()
                .map(slot -> new SlotChoice(slot.getKey(), slot.getValue()))
                .toList();
    }

    /** What so many take as one batch; empty where none are made, or where they can't be one. */
    Optional<BatchTakes> takes(Asked asked, int[] made) {
        Settings current = settings.current();
        try {
            BatchForm form = form(UUID.randomUUID(), asked, made);
            Planned planned = typed.planned(form, current);
            if (!planned.plan().isComplete()) {
                return Optional.empty();
            }
            Map<MaterialId, Amount> laidOut = layouts.takes(planned, current);
            Map<String, Double> cloth = new HashMap<>();
            planned.plan()
                    .needs()
                    .forEach(need -> cloth.put(SeasonShelf.nameOf(need), SeasonShelf.units(amount(need, laidOut))));
            return typed.order(typed.work(planned, form, NAME), current)
                    .map(order -> new BatchTakes(order.time().toSeconds() / SECONDS, cloth));
        } catch (RefusedException cannotBeOneBatch) {
            // It is reckoned bag by bag then; whoever makes a batch of it is told why it can't be one.
            return Optional.empty();
        }
    }

    private static Amount amount(Need need, Map<MaterialId, Amount> laidOut) {
        return laidOut.getOrDefault(MaterialId.valueOf(need.supply().key()), need.amount());
    }

    /**
     * What they take of the shelf and of the coming days.
     *
     * @throws RefusedException if none are made, or they can't be made as they are
     */
    SeasonLaidOut layOut(Asked asked, int[] made) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        BatchForm form = form(UUID.randomUUID(), asked, made);
        Planned planned = typed.planned(form, current);
        typed.refuseIncomplete(planned, current);
        OpenWork work = typed.work(planned, form, NAME);
        List<OpenWork> open = batches.openWork();
        Laid before = days.lay(open);
        Laid laid = days.lay(Stream.concat(open.stream(), Stream.of(work)).toList());
        Optional<LocalDate> ready = laid.ready(work);
        Optional<Ordered> order = typed.order(work, current);
        return new SeasonLaidOut(
                writer.time(order.map(Ordered::time).orElse(work.left())),
                writer.time(order.map(its -> its.changes().time()).orElse(Duration.ZERO)),
                takes(planned, layouts.takes(planned, current), writer),
                tapes.tape(laid, end(asked, laid, ready), writer),
                laid.today(),
                ready.orElse(null),
                work.isLate(ready),
                delays(open, before, laid));
    }

    private static LocalDate end(Asked asked, Laid laid, Optional<LocalDate> ready) {
        LocalDate last = Stream.concat(ready.stream(), asked.fairs().stream().map(FairRecord::heldOn))
                .map(day -> day.plusDays(2))
                .max(Comparator.naturalOrder())
                .orElse(laid.today());
        LocalDate fewest = laid.today().plusDays(FEWEST_DAYS);
        LocalDate most = laid.today().plusDays(MOST_DAYS);
        return last.isBefore(fewest) ? fewest : last.isAfter(most) ? most : last;
    }

    private List<SeasonTakes> takes(Planned planned, Map<MaterialId, Amount> laidOut, ViewWriter writer) {
        List<Need> needs = planned.plan().needs().stream()
                .filter(need -> need.supply().kind().isCloth()
                        || shortBy(need, need.amount()).isPositive())
                .toList();
        Map<MaterialId, String> colours = materials.colours(needs.stream()
                .map(need -> MaterialId.valueOf(need.supply().key()))
                .distinct()
                .toList());
        return needs.stream()
                .map(need -> {
                    MaterialId id = MaterialId.valueOf(need.supply().key());
                    Amount takes = amount(need, laidOut);
                    Amount shortBy = shortBy(need, takes);
                    return new SeasonTakes(
                            id,
                            need.supply().kind(),
                            need.supply().name(),
                            colours.getOrDefault(id, GREY),
                            writer.amount(takes),
                            writer.amount(need.stock().free()),
                            laidOut.containsKey(id),
                            shortBy.isPositive() ? writer.amount(shortBy) : null);
                })
                .toList();
    }

    private static Amount shortBy(Need need, Amount takes) {
        return takes.minus(need.stock().free());
    }

    private static List<SeasonDelay> delays(List<OpenWork> open, Laid before, Laid laid) {
        return open.stream()
                .flatMap(work -> before.ready(work).stream()
                        .filter(day -> laid.ready(work)
                                .filter(then -> !then.isAfter(day))
                                .isEmpty())
                        .map(day -> new SeasonDelay(
                                work.id(),
                                work.name(),
                                work.forWhat(),
                                day,
                                laid.ready(work).orElse(null),
                                work.isLate(laid.ready(work)) && !work.isLate(Optional.of(day)))))
                .toList();
    }
}
