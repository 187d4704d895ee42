package mardun.app.year;

import java.time.Clock;
import java.time.LocalDate;
import java.time.Period;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.batch.BatchLife;
import mardun.app.batch.BatchLife.FinishedLine;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.id.DesignId;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.app.year.YearReading.Sold;
import mardun.app.year.YearViews.RemarkView;
import mardun.app.year.YearViews.RemarksView;
import mardun.app.year.YearViews.Subject;
import mardun.core.year.Earned;
import mardun.core.year.Remark;
import mardun.core.year.TimesKept;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Says the one thing in the figures that deserves it most; what is put away isn't said again for a quarter of a year. */
@Service
class Remarks {

    private static final Period AWAY = Period.ofDays(91);

    private final YearReading reading;
    private final BatchLife batches;
    private final DesignService designs;
    private final RemarkAwayRepository away;
    private final SettingsService settings;
    private final Clock clock;
    private final Remembered<LocalDate, List<Remark>> known;

    Remarks(
            YearReading reading,
            BatchLife batches,
            DesignService designs,
            RemarkAwayRepository away,
            SettingsService settings,
            Clock clock,
            Changes changes) {
        this.reading = reading;
        this.batches = batches;
        this.designs = designs;
        this.away = away;
        this.settings = settings;
        this.clock = clock;
        this.known = new Remembered<>(changes);
    }

    @Transactional(readOnly = true)
    RemarksView now() {
        Set<String> putAway = away.findByPutAwayAtGreaterThan(clock.instant().minus(AWAY)).stream()
                .map(RemarkAway::remark)
                .collect(Collectors.toSet());
        List<Remark> all = known.get(LocalDate.now(clock), this::all);
        return new RemarksView(Remark.most(all, putAway).map(this::view).orElse(null));
    }

    /** A remark isn't said for a while; put away once more, for a while from now. */
    @Transactional
    void putAway(String key) {
        away.save(new RemarkAway(key, clock.instant()));
    }

    private List<Remark> all(LocalDate today) {
        Settings current = settings.current();
        List<Remark> all = new ArrayList<>();
        all.addAll(earning(today, current));
        reading.lying()
                .forEach(one -> all.add(new Remark.Lies(
                        one.kind().key(), one.kind().words(), one.weeks(), current.money(one.worth()))));
        all.addAll(taking(today, current));
        return all;
    }

    private List<Remark> earning(LocalDate today, Settings current) {
        List<Remark> earning = new ArrayList<>();
        reading.lastSold(today.minusYears(1), today.plusDays(1), Remark.LAST_SOLD)
                .forEach((size, sold) -> {
                    Earned earned = Earned.of(sold.stream().map(Sold::bags).toList(), current.currency());
                    earned.perHour()
                            .ifPresent(hour -> earning.add(new Remark.EarnsLittle(
                                    size,
                                    hour.value(),
                                    current.workroom().hourlyRate(),
                                    earned.timed(),
                                    earned.time())));
                });
        return earning;
    }

    /** The last batches of one design alone: of others it isn't plain which of their bags took longer. */
    private List<Remark> taking(LocalDate today, Settings current) {
        Map<Long, List<FinishedLine>> byBatch = batches
                .finished(
                        today.minusYears(1).atStartOfDay(clock.getZone()).toInstant(),
                        today.plusDays(1).atStartOfDay(clock.getZone()).toInstant())
                .stream()
                .collect(Collectors.groupingBy(FinishedLine::batch, LinkedHashMap::new, Collectors.toList()));
        Map<DesignId, List<TimesKept.Batch>> byDesign = new HashMap<>();
        byBatch.values().stream()
                .filter(lines ->
                        lines.stream().map(FinishedLine::design).distinct().count() == 1)
                .forEach(lines -> lines.get(0)
                        .times()
                        .ifPresent(
                                times -> byDesign.computeIfAbsent(lines.get(0).design(), id -> new ArrayList<>())
                                        .add(times)));
        Map<DesignId, String> names =
                designs.names().stream().collect(Collectors.toMap(DesignName::id, DesignName::name));
        List<Remark> taking = new ArrayList<>();
        byDesign.forEach((design, times) -> Optional.ofNullable(names.get(design))
                .ifPresent(name -> taking.add(new Remark.TakesLonger(
                        design.key(),
                        name,
                        TimesKept.of(times.subList(Math.max(0, times.size() - Remark.LAST_BATCHES), times.size())),
                        current.workroom().hourlyRate()))));
        return taking;
    }

    private RemarkView view(Remark remark) {
        Cells cells = new Cells(settings.current());
        if (remark instanceof Remark.EarnsLittle little) {
            return new RemarkView(
                    remark.key(),
                    Subject.EARNING,
                    little.bags() + " earned " + cells.amount(little.perHour()) + " an hour over the last "
                            + little.sold() + " sold, and you want " + cells.amount(little.wanted())
                            + ": dearer, or fewer?");
        }
        if (remark instanceof Remark.Lies lies) {
            String went = lies.weeks().sold() == 0
                    ? "none went in " + lies.weeks().weeks() + " weeks"
                    : "only " + lies.weeks().sold() + " went in " + lies.weeks().weeks() + " weeks";
            return new RemarkView(
                    remark.key(),
                    Subject.SHELF,
                    lies.weeks().there() + " of " + lies.words() + " lie there and " + went + "; they cost "
                            + cells.amount(lies.worth()) + ": to another fair, cheaper, or no more of them?");
        }
        Remark.TakesLonger longer = (Remark.TakesLonger) remark;
        return new RemarkView(
                remark.key(),
                Subject.TIME,
                longer.name() + " took " + longer.times().beyond().orElse(0) + " % longer than planned over the last "
                        + longer.times().batches() + " batches: is something wrong with its times, or with its steps?");
    }
}
