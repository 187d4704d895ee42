package mardun.app.logbook;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.batch.BatchWork;
import mardun.app.log.BenchLog;
import mardun.app.log.EventKind;
import mardun.app.log.LogEntry;
import mardun.app.log.LoggedTouch;
import mardun.app.logbook.LogbookViews.CorrectionForm;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts logged times right, or leaves them out; the book keeps what was measured, and estimates follow what is right. */
@Service
class Corrections {

    private static final BigDecimal MOST_MINUTES = BigDecimal.valueOf(24 * 60);
    private static final BigDecimal MILLIS_PER_MINUTE = BigDecimal.valueOf(60_000);

    private final BenchLog log;
    private final BatchWork work;
    private final Clock clock;

    Corrections(BenchLog log, BatchWork work, Clock clock) {
        this.log = log;
        this.work = work;
        this.clock = clock;
    }

    @Transactional
    void correct(CorrectionForm form) {
        LoggedTouch touch = log.find(form.event())
                .filter(one -> one.kind() == EventKind.WORKED || one.kind() == EventKind.SET_UP)
                .orElseThrow(() -> RefusedException.missing("There is no such time in the book."));
        FieldReader fields = new FieldReader();
        BigDecimal minutes = form.leftOut()
                ? BigDecimal.ZERO
                : fields.decimal("minutes", form.minutes(), BigDecimal.ZERO, MOST_MINUTES);
        if (form.reason().isBlank()) {
            fields.refuse("reason", form.reason(), "Say why, so that the book can be understood later.");
        }
        fields.check();
        Map<UUID, String> refused = work.keep(
                touch.batchId(),
                List.of(LogEntry.about(
                        form.id(),
                        touch,
                        form.leftOut() ? EventKind.LEFT_OUT : EventKind.PUT_RIGHT,
                        minutes.multiply(MILLIS_PER_MINUTE)
                                .setScale(0, RoundingMode.HALF_UP)
                                .longValueExact(),
                        clock.instant(),
                        form.reason().strip())));
        refused.values().stream().findFirst().ifPresent(reason -> {
            throw RefusedException.conflict(reason);
        });
    }
}
