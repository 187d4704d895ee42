package mardun.app.upkeep;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.log.BenchLog;
import mardun.app.material.StockHistory;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.upkeep.UpkeepViews.DoneForm;
import mardun.app.upkeep.UpkeepViews.LimitView;
import mardun.app.upkeep.UpkeepViews.LimitsForm;
import mardun.app.upkeep.UpkeepViews.MachineView;
import mardun.app.upkeep.UpkeepViews.UpkeepView;
import mardun.app.upkeep.UpkeepViews.WearView;
import mardun.core.making.Machine;
import mardun.core.making.SetUp;
import mardun.core.making.Standing;
import mardun.core.making.Station;
import mardun.core.making.Upkeep;
import mardun.core.making.Workplace;
import mardun.core.material.ClothKind;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is in each machine, how long its needle, its blade and its oil have been in use, and when they were changed. */
@Service
public class UpkeepService {

    private static final BigDecimal MILLIS_PER_HOUR = BigDecimal.valueOf(3_600_000);
    private static final BigDecimal LEAST = new BigDecimal("0.5");
    private static final BigDecimal MOST = BigDecimal.valueOf(5000);
    private static final int SHOWN_PLACES = 1;
    private static final int KEPT_PLACES = 2;

    /** What was never noted was done before the book: so far back use is counted. */
    private static final Duration NEVER_DONE = Duration.ofDays(90);

    private final UpkeepDoneRepository done;
    private final UpkeepLimitRepository limits;
    private final BenchLog log;
    private final StockHistory stock;
    private final SewnSeams seams;
    private final SettingsService settings;
    private final Clock clock;

    UpkeepService(
            UpkeepDoneRepository done,
            UpkeepLimitRepository limits,
            BenchLog log,
            StockHistory stock,
            SewnSeams seams,
            SettingsService settings,
            Clock clock) {
        this.done = done;
        this.limits = limits;
        this.log = log;
        this.stock = stock;
        this.seams = seams;
        this.settings = settings;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    UpkeepView view() {
        Standing standing = log.standing();
        Map<Upkeep.Kind, BigDecimal> known = limits();
        ViewWriter writer = settings.current().writer();
        return new UpkeepView(
                places(settings.current()).stream()
                        .map(place -> machine(place, standing, known, writer))
                        .filter(machine -> !machine.wears().isEmpty())
                        .toList(),
                Arrays.stream(Upkeep.Kind.values())
                        .map(kind -> new LimitView(
                                kind, kind.words(), unit(kind, writer), amount(kind, known.get(kind), writer)))
                        .toList());
    }

    /** The maker's machines; where she listed none that sews, the sewing machine, and always the cutting table. */
    private static List<Workplace> places(Settings current) {
        List<Workplace> places = new ArrayList<>();
        for (Machine machine : current.equipment().machines()) {
            places.add(new Workplace(machine.key(), machine.kind(), machine.name()));
        }
        for (Station station : List.of(Station.MACHINE, Station.CUTTING_TABLE)) {
            if (places.stream().noneMatch(place -> place.station() == station)) {
                places.add(Workplace.of(station));
            }
        }
        return places;
    }

    private Map<Upkeep.Kind, BigDecimal> limits() {
        Map<Upkeep.Kind, BigDecimal> own =
                limits.findAll().stream().collect(Collectors.toMap(UpkeepLimit::kind, UpkeepLimit::limitValue));
        return Arrays.stream(Upkeep.Kind.values())
                .collect(Collectors.toMap(kind -> kind, kind -> own.getOrDefault(kind, kind.usual())));
    }

    private MachineView machine(
            Workplace place, Standing standing, Map<Upkeep.Kind, BigDecimal> known, ViewWriter writer) {
        SetUp on = standing.on().getOrDefault(place.key(), SetUp.NONE);
        return new MachineView(
                place.key(),
                place.words(),
                on.on().keySet().stream().sorted().map(on::words).toList(),
                Arrays.stream(Upkeep.Kind.values())
                        .filter(kind -> kind.isAt(place.station()))
                        .map(kind -> wear(place.key(), kind, known.get(kind), writer))
                        .toList());
    }

    private WearView wear(String place, Upkeep.Kind kind, BigDecimal limit, ViewWriter writer) {
        Optional<UpkeepDone> last = last(place, kind);
        Instant from = from(last);
        BigDecimal since = since(place, kind, from);
        return new WearView(
                kind,
                kind.words(),
                worn(kind, since, writer),
                also(place, kind, from, writer),
                worn(kind, limit, writer),
                last.map(UpkeepDone::doneAt).map(UpkeepService::day).orElse(null),
                since.compareTo(limit) >= 0);
    }

    /** What wears by the hour in metres of seam, what wears by the metre in hours. */
    private String also(String place, Upkeep.Kind kind, Instant from, ViewWriter writer) {
        if (!kind.wearsByHours()) {
            BigDecimal hours = hoursAt(place, from);
            return hours.signum() > 0 ? writer.decimal(hours) + " h at the table" : "";
        }
        Length sewn = seams.at(place, from);
        return sewn.isPositive() ? "about " + longLength(metres(sewn), writer) + " of seam" : "";
    }

    /** Hours, or a length in metres or yards. */
    private static String worn(Upkeep.Kind kind, BigDecimal value, ViewWriter writer) {
        return amount(kind, value, writer) + " " + unit(kind, writer);
    }

    private static String amount(Upkeep.Kind kind, BigDecimal value, ViewWriter writer) {
        return writer.decimal(kind.wearsByHours() ? value : in(writer.system().clothUnit(), value, SHOWN_PLACES));
    }

    private static String unit(Upkeep.Kind kind, ViewWriter writer) {
        return kind.wearsByHours() ? "h" : writer.system().clothUnit().symbol();
    }

    private static String longLength(BigDecimal metres, ViewWriter writer) {
        LengthUnit unit = writer.system().clothUnit();
        return writer.decimal(in(unit, metres, SHOWN_PLACES)) + " " + unit.symbol();
    }

    private static BigDecimal in(LengthUnit unit, BigDecimal metres, int places) {
        return metres.multiply(BigDecimal.valueOf(LengthUnit.METRE.nanometres()))
                .divide(BigDecimal.valueOf(unit.nanometres()), places, RoundingMode.HALF_UP);
    }

    private static BigDecimal metres(Length length) {
        return BigDecimal.valueOf(length.nanometres())
                .divide(BigDecimal.valueOf(LengthUnit.METRE.nanometres()), SHOWN_PLACES, RoundingMode.HALF_UP);
    }

    private static LocalDate day(Instant at) {
        return at.atZone(ZoneId.systemDefault()).toLocalDate();
    }

    private Optional<UpkeepDone> last(String place, Upkeep.Kind kind) {
        return done.findFirstByPlaceAndKindOrderByDoneAtDesc(place, kind);
    }

    private Instant from(Optional<UpkeepDone> last) {
        return last.map(UpkeepDone::doneAt)
                .orElseGet(() -> clock.instant().truncatedTo(ChronoUnit.DAYS).minus(NEVER_DONE));
    }

    /** Hours at the machine, or metres of cloth cut, to the tenth. */
    private BigDecimal since(String place, Upkeep.Kind kind, Instant from) {
        return kind.wearsByHours() ? hoursAt(place, from) : metres(stock.clothCutSince(from));
    }

    private BigDecimal hoursAt(String place, Instant from) {
        return BigDecimal.valueOf(log.workedAt(place, from).toMillis())
                .divide(MILLIS_PER_HOUR, SHOWN_PLACES, RoundingMode.HALF_UP);
    }

    /** What at a machine has had its time for the cloth at hand, in sentences. */
    @Transactional(readOnly = true)
    public List<String> due(Workplace place, Collection<ClothKind> cloths) {
        Map<Upkeep.Kind, BigDecimal> known = limits();
        ViewWriter writer = settings.current().writer();
        return Arrays.stream(Upkeep.Kind.values())
                .filter(kind -> kind.isAt(place.station()))
                .flatMap(kind -> {
                    BigDecimal limit = new Upkeep(kind, known.get(kind)).limitWith(cloths);
                    BigDecimal since = since(place.key(), kind, from(last(place.key(), kind)));
                    return since.compareTo(limit) < 0
                            ? Stream.<String>empty()
                            : Stream.of(Character.toUpperCase(kind.words().charAt(0))
                                    + kind.words().substring(1) + ": " + worn(kind, since, writer) + ", due after "
                                    + worn(kind, limit, writer) + " with this cloth.");
                })
                .toList();
    }

    /** Something was changed or cared for; sent twice, once. */
    @Transactional
    public void done(DoneForm form) {
        if (!done.existsById(form.id())) {
            done.save(new UpkeepDone(
                    form.id(),
                    form.place(),
                    form.kind(),
                    clock.instant(),
                    form.note().strip()));
        }
    }

    /** The maker has found other limits: hours, or metres or yards as she measures. */
    @Transactional
    public void limit(LimitsForm form) {
        LengthUnit unit = settings.current().unitSystem().clothUnit();
        FieldReader fields = new FieldReader();
        form.limits().forEach(limit -> {
            String field = "limits." + limit.kind();
            BigDecimal value = fields.decimal(field, limit.limit(), LEAST, MOST);
            limits.save(new UpkeepLimit(limit.kind(), limit.kind().wearsByHours() ? value : inMetres(value, unit)));
        });
        fields.check();
    }

    private static BigDecimal inMetres(BigDecimal typed, LengthUnit unit) {
        return typed.multiply(BigDecimal.valueOf(unit.nanometres()))
                .divide(BigDecimal.valueOf(LengthUnit.METRE.nanometres()), KEPT_PLACES, RoundingMode.HALF_UP);
    }

    /** Something that was done, for the logbook. */
    public record Told(String place, Upkeep.Kind kind, String note, Instant at) {}

    /** What was done before a moment, the newest first. */
    @Transactional(readOnly = true)
    public List<Told> before(Instant until, int most) {
        Map<String, String> names = places(settings.current()).stream()
                .collect(Collectors.toMap(Workplace::key, Workplace::words, (one, other) -> one));
        return done.findByDoneAtLessThanOrderByDoneAtDesc(until, Limit.of(most)).stream()
                .map(one ->
                        new Told(names.getOrDefault(one.place(), "a machine"), one.kind(), one.note(), one.doneAt()))
                .toList();
    }
}
