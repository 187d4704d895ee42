package mardun.app.logbook;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.batch.BatchLife;
import mardun.app.batch.BatchLife.NamedLine;
import mardun.app.id.BatchId;
import mardun.app.log.BenchLog;
import mardun.app.log.LoggedTouch;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** All that was logged at the bench as a CSV sheet, touch by touch. */
@Component
class LogbookSheet {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm:ss");
    private static final BigDecimal MILLIS_PER_MINUTE = BigDecimal.valueOf(60_000);

    private final BenchLog log;
    private final BatchLife batches;
    private final SettingsService settings;

    LogbookSheet(BenchLog log, BatchLife batches, SettingsService settings) {
        this.log = log;
        this.batches = batches;
        this.settings = settings;
    }

    @Transactional(readOnly = true)
    String write() {
        CsvSheet sheet = new CsvSheet(
                settings.current().decimalMark(),
                "day",
                "time",
                "batch",
                "line",
                "design",
                "size",
                "step",
                "what",
                "bags",
                "minutes",
                "ended",
                "reason",
                "left out");
        List<LoggedTouch> touches = log.touches(Instant.EPOCH, Instant.parse("9999-01-01T00:00:00Z"));
        Map<BatchId, List<NamedLine>> lines =
                batches.lines(touches.stream().map(LoggedTouch::batchId).collect(Collectors.toSet()));
        touches.forEach(touch -> write(sheet, touch, lines.getOrDefault(touch.batchId(), List.of())));
        return sheet.text();
    }

    private static void write(CsvSheet sheet, LoggedTouch touch, List<NamedLine> lines) {
        ZonedDateTime at = touch.at().atZone(ZoneId.systemDefault());
        NamedLine line = lines.stream()
                .filter(one -> one.line().number() == touch.line())
                .findFirst()
                .orElse(null);
        sheet.line(
                at.toLocalDate().toString(),
                TIME.format(at),
                touch.batchId().key(),
                Integer.toString(touch.line()),
                line == null ? "" : line.design(),
                line == null ? "" : line.line().sizeName(),
                touch.stepName(),
                touch.kind().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                Integer.toString(touch.bags()),
                BigDecimal.valueOf(touch.time().toMillis())
                        .divide(MILLIS_PER_MINUTE, 2, RoundingMode.HALF_UP)
                        .toPlainString(),
                touch.outcome() == null || touch.isWithdrawn()
                        ? ""
                        : touch.outcome().name().toLowerCase(Locale.ROOT),
                touch.reason(),
                touch.isLeftOut() || touch.isWithdrawn() ? "yes" : "");
    }
}
