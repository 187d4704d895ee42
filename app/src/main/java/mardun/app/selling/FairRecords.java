package mardun.app.selling;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.id.ChannelId;
import mardun.app.id.FairId;
import mardun.app.sale.Sales;
import mardun.app.selling.SettledDocument.Figures;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.measure.Length;
import mardun.core.selling.FairCosts;
import mardun.core.working.Figure;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Pageable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Past fairs and fairs that come, for those who learn from the one what to make for the other. */
@Component
public class FairRecords {

    private static final long NONE = -1;

    private final FairRepository repository;
    private final PackingLineRepository lines;
    private final Sales sales;
    private final SettingsService settings;
    private final Clock clock;

    FairRecords(
            FairRepository repository,
            PackingLineRepository lines,
            Sales sales,
            SettingsService settings,
            Clock clock) {
        this.repository = repository;
        this.lines = lines;
        this.sales = sales;
        this.settings = settings;
        this.clock = clock;
    }

    /** What a fair is called; empty if there is none by that number. */
    @Transactional(readOnly = true)
    public Optional<String> nameOf(FairId id) {
        return repository.findById(id.value()).map(Fair::name);
    }

    /**
     * A fair.
     *
     * @param series the same for each turn of it
     * @param opens on each day; empty where nobody said
     * @param closes likewise
     * @param tableWide nothing where nobody said
     * @param brought how many of each kind went along, or are to
     */
    public record FairRecord(
            FairId id,
            String name,
            String series,
            LocalDate heldOn,
            LocalDate endsOn,
            Optional<LocalTime> opens,
            Optional<LocalTime> closes,
            boolean sheltered,
            Optional<Footfall> footfall,
            Optional<Weather> weather,
            Length tableWide,
            Length tableDeep,
            @Nullable ChannelId channelId,
            Map<String, Integer> brought) {}

    /** The fairs of the past that were gone to and began on a day or later, the oldest first. */
    @Transactional(readOnly = true)
    public List<FairRecord> past(LocalDate since) {
        return records(repository.before(LocalDate.now(clock), NONE, Pageable.unpaged()).stream()
                .filter(fair -> !fair.heldOn().isBefore(since))
                .sorted((one, other) -> one.heldOn().compareTo(other.heldOn()))
                .toList());
    }

    /** The fairs from today on to which the maker may go, the next one first. */
    @Transactional(readOnly = true)
    public List<FairRecord> coming() {
        return records(repository.coming(LocalDate.now(clock)));
    }

    /**
     * What a fair left.
     *
     * @param settled it was counted; else it is reckoned by what was sold, and by what was typed of its costs
     * @param costs what going there cost
     * @param goneMinor what bags cost that were given away, broken or stolen there; nothing until it is settled
     * @param there at the stall, setting up and clearing away included
     */
    public record FairLeft(
            FairId id,
            String name,
            LocalDate heldOn,
            int bags,
            long paidMinor,
            Money left,
            Optional<Figure<Money>> perHourThere,
            FairCosts costs,
            long goneMinor,
            Duration there,
            Duration onTheWay,
            boolean settled) {}

    /** What the fairs left that were gone to, began from a day until before another, and are over or sold anything. */
    @Transactional(readOnly = true)
    public List<FairLeft> left(LocalDate from, LocalDate until) {
        Settings current = settings.current();
        LocalDate today = LocalDate.now(clock);
        List<Fair> held = repository.between(from, until).stream()
                .filter(fair -> fair.state() != FairState.NOT_GOING)
                .toList();
        Map<FairId, List<Sales.Sum>> sums =
                sales
                        .sums(held.stream()
                                .filter(fair -> fair.settled().isEmpty())
                                .map(Fair::id)
                                .toList())
                        .stream()
                        .collect(Collectors.groupingBy(Sales.Sum::fair));
        return held.stream()
                .filter(fair ->
                        fair.settled().isPresent() || fair.endsOn().isBefore(today) || sums.containsKey(fair.id()))
                .map(fair -> left(fair, sums.getOrDefault(fair.id(), List.of()), current))
                .toList();
    }

    private static FairLeft left(Fair fair, List<Sales.Sum> sums, Settings current) {
        Fairs.Standing standing = Fairs.standing(fair, sums, current);
        Figures figures = standing.figures();
        return new FairLeft(
                fair.id(),
                fair.name(),
                fair.heldOn(),
                figures.bags(),
                figures.paidMinor(),
                standing.settlement().left().value(),
                standing.settlement().perHourThere(),
                figures.fair().costs(current.currency()),
                figures.goneMinor(),
                standing.there(),
                standing.onTheWay(),
                fair.settled().isPresent());
    }

    private List<FairRecord> records(List<Fair> fairs) {
        Settings current = settings.current();
        List<Fair> going = fairs.stream()
                .filter(fair -> fair.state() != FairState.NOT_GOING)
                .toList();
        Map<FairId, Map<String, Integer>> brought = going.isEmpty()
                ? Map.of()
                : lines.findByFairIdIn(going.stream().map(Fair::id).toList()).stream()
                        .collect(Collectors.groupingBy(
                                PackingLine::fairId,
                                Collectors.toMap(PackingLine::bagKind, PackingLine::units, Integer::sum)));
        return going.stream()
                .map(fair -> record(fair, brought.getOrDefault(fair.id(), Map.of()), current))
                .toList();
    }

    private static FairRecord record(Fair fair, Map<String, Integer> brought, Settings current) {
        FairFacts facts = Fairs.facts(fair, current);
        return new FairRecord(
                fair.id(),
                fair.name(),
                fair.series(),
                fair.heldOn(),
                fair.endsOn(),
                FairFacts.time(fair.form().opensAt()),
                FairFacts.time(fair.form().closesAt()),
                fair.form().shelter(),
                Optional.ofNullable(fair.form().footfall()),
                Optional.ofNullable(fair.form().weather()),
                facts.tableWide(),
                facts.tableDeep(),
                fair.form().channelId(),
                brought);
    }
}
