package mardun.app.upkeep;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
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
    private static final BigDecimal MOST = BigDecimal.valueOf(5000);

    /** What was never noted was done before the book: so far back use is counted. */
    private static final Duration NEVER_DONE = Duration.ofDays(90);

    private final UpkeepDoneRepository done;
    private final UpkeepLimitRepository limits;
    private final BenchLog log;
    private final StockHistory stock;
    private final SettingsService settings;
    private final Clock clock;

    UpkeepService(
            UpkeepDoneRepository done,
            UpkeepLimitRepository limits,
            BenchLog log,
            StockHistory stock,
            SettingsService settings,
            Clock clock) {
        this.done = done;
        this.limits = limits;
        this.log = log;
        this.stock = stock;
        this.settings = settings;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    UpkeepView view() {
        Standing standing = log.standing();
        Map<Upkeep.Kind, BigDecimal> known = limits();
        return new UpkeepView(
                places(settings.current()).stream()
                        .map(place -> machine(place, standing, known))
                        .filter(machine -> !machine.wears().isEmpty())
                        .toList(),
                Arrays.stream(Upkeep.Kind.values())
                        .map(kind -> new LimitView(
                                kind,
                                kind.words(),
                                kind.unit(),
                                known.get(kind).stripTrailingZeros().toPlainString()))
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

    private MachineView machine(Workplace place, Standing standing, Map<Upkeep.Kind, BigDecimal> known) {
        SetUp on = standing.on().getOrDefault(place.key(), SetUp.NONE);
        return new MachineView(
                place.key(),
                place.words(),
                on.on().keySet().stream().sorted().map(on::words).toList(),
                Arrays.stream(Upkeep.Kind.values())
                        .filter(kind -> kind.isAt(place.station()))
                        .map(kind -> wear(place.key(), kind, known.get(kind)))
                        .toList());
    }

    private WearView wear(String place, Upkeep.Kind kind, BigDecimal limit) {
        Optional<UpkeepDone> last = done.findFirstByPlaceAndKindOrderByDoneAtDesc(place, kind);
        BigDecimal since = since(place, kind, last);
        return new WearView(
                kind,
                kind.words(),
                since.toPlainString() + " " + kind.unit(),
                limit.stripTrailingZeros().toPlainString() + " " + kind.unit(),
                last.map(UpkeepDone::doneAt).map(UpkeepService::day).orElse(null),
                since.compareTo(limit) >= 0);
    }

    private static LocalDate day(Instant at) {
        return at.atZone(ZoneId.systemDefault()).toLocalDate();
    }

    /** Hours at the machine, or metres of cloth cut, to the tenth. */
    private BigDecimal since(String place, Upkeep.Kind kind, Optional<UpkeepDone> last) {
        Instant from =
                last.map(UpkeepDone::doneAt).orElseGet(() -> clock.instant().minus(NEVER_DONE));
        if (kind == Upkeep.Kind.BLADE) {
            Length cut = stock.clothCutSince(from);
            return BigDecimal.valueOf(cut.nanometres())
                    .divide(BigDecimal.valueOf(LengthUnit.METRE.nanometres()), 1, RoundingMode.HALF_UP);
        }
        Duration worked = log.workedAt(place, from);
        return BigDecimal.valueOf(worked.toMillis()).divide(MILLIS_PER_HOUR, 1, RoundingMode.HALF_UP);
    }

    /** What at a machine has had its time for the cloth at hand, in sentences. */
    @Transactional(readOnly = true)
    public List<String> due(Workplace place, Collection<ClothKind> cloths) {
        Map<Upkeep.Kind, BigDecimal> known = limits();
        return Arrays.stream(Upkeep.Kind.values())
                .filter(kind -> kind.isAt(place.station()))
                .flatMap(kind -> {
                    BigDecimal limit = new Upkeep(kind, known.get(kind)).limitWith(cloths);
                    BigDecimal since =
                            since(place.key(), kind, done.findFirstByPlaceAndKindOrderByDoneAtDesc(place.key(), kind));
                    return since.compareTo(limit) < 0
                            ? Stream.<String>empty()
                            : Stream.of(Character.toUpperCase(kind.words().charAt(0))
                                    + kind.words().substring(1) + ": " + since.toPlainString() + " " + kind.unit()
                                    + ", due after "
                                    + limit.stripTrailingZeros().toPlainString() + " " + kind.unit()
                                    + " with this cloth.");
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

    /** The maker has found other limits. */
    @Transactional
    public void limit(LimitsForm form) {
        FieldReader fields = new FieldReader();
        form.limits().forEach(limit -> {
            String field = "limits." + limit.kind();
            BigDecimal value = fields.decimal(field, limit.limit(), new BigDecimal("0.5"), MOST);
            limits.save(new UpkeepLimit(limit.kind(), value));
        });
        fields.check();
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
