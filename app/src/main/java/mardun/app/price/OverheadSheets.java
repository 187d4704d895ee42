package mardun.app.price;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import mardun.app.log.BenchLog;
import mardun.app.price.PriceViews.OverheadsForm;
import mardun.app.price.PriceViews.OverheadsView;
import mardun.app.price.PriceViews.YearlyCost;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.costing.YearlyOverheads;
import org.joda.money.Money;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The yearly sheet of overheads: typed once, divided by the hours that are really worked. */
@Service
class OverheadSheets {

    private static final int DAYS_OF_A_YEAR = 365;
    private static final BigDecimal MOST_HOURS = BigDecimal.valueOf(8_760);
    private static final BigDecimal SECONDS_PER_HOUR = BigDecimal.valueOf(3_600);

    private final OverheadSheetRepository sheets;
    private final BenchLog log;
    private final SettingsService settings;
    private final Clock clock;

    OverheadSheets(OverheadSheetRepository sheets, BenchLog log, SettingsService settings, Clock clock) {
        this.sheets = sheets;
        this.log = log;
        this.settings = settings;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    OverheadsView sheet() {
        OverheadSheet sheet = sheets.findById(OverheadSheet.ONE).orElseThrow();
        return view(new OverheadsForm(sheet.version(), sheet.hours(), sheet.lines(), false));
    }

    private OverheadsView view(OverheadsForm form) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        LocalDate today = LocalDate.now(clock);
        int days = log.firstWorked()
                .map(first -> (int) Math.min(
                        DAYS_OF_A_YEAR,
                        1 + ChronoUnit.DAYS.between(LocalDate.ofInstant(first, clock.getZone()), today)))
                .orElse(0);
        Duration logged = log.workedSince(
                today.minusDays(DAYS_OF_A_YEAR).atStartOfDay(clock.getZone()).toInstant());
        FieldReader fields = new FieldReader();
        Money together = current.money(0);
        for (int i = 0; i < form.lines().size(); i++) {
            YearlyCost line = form.lines().get(i);
            fields.text("lines." + i + ".name", line.name(), 120);
            together = together.plus(
                    current.money(fields.money("lines." + i + ".amount", line.amount(), current.currency())));
        }
        Optional<Duration> typed = form.hours().isBlank()
                ? Optional.empty()
                : Optional.of(hours(fields.decimal("hours", form.hours(), BigDecimal.ONE, MOST_HOURS)));
        fields.check();
        Optional<Duration> aYear = typed.or(() -> YearlyOverheads.ofAYear(logged, days));
        Money sum = together;
        return new OverheadsView(
                form,
                writer.time(logged),
                days,
                aYear.map(writer::time).orElse(null),
                writer.money(together),
                aYear.flatMap(hours -> new YearlyOverheads(sum, hours).perHour())
                        .map(writer::money)
                        .orElse(null),
                writer.money(current.workroom().overheads().perHour()));
    }

    private static Duration hours(BigDecimal typed) {
        return Duration.ofSeconds(typed.multiply(SECONDS_PER_HOUR)
                .setScale(0, RoundingMode.HALF_UP)
                .longValueExact());
    }

    /** Keeps the sheet; and lets an hour bear what follows from it, where that is wanted. */
    @Transactional
    public OverheadsView change(OverheadsForm form) {
        OverheadSheet sheet = sheets.findById(OverheadSheet.ONE).orElseThrow();
        ChangedMeanwhileException.check("The sheet of overheads", form.version(), sheet.version());
        OverheadsView follows = view(form);
        sheet.enter(form.hours().strip(), form.lines());
        sheets.saveAndFlush(sheet);
        if (form.take()) {
            if (follows.perHour() == null) {
                throw RefusedException.conflict("Too few hours are logged to say what an hour bears. Type how many you"
                        + " work at the bench in a year.");
            }
            Settings current = settings.current();
            current.overheads(current.money(follows.perHour().minor()));
            settings.keep(current);
        }
        return sheet();
    }
}
