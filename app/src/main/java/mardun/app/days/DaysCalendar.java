package mardun.app.days;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mardun.app.batch.BatchReading;
import mardun.app.batch.OpenWork;
import mardun.app.days.DayPlans.Laid;
import mardun.app.selling.FairService;
import mardun.app.selling.PinnedFair;
import mardun.core.planning.DayPlan.Stretch;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The days as a calendar file: one event for each day of work, one for each day on which a batch is due, one for each fair. Each has an
 * id that stays, so that a file that is taken in again replaces what came of it before. Times are the maker's own, without a zone.
 */
@Service
public class DaysCalendar {

    private final BatchReading batches;
    private final DayPlans plans;
    private final FairService fairs;
    private final Clock clock;

    DaysCalendar(BatchReading batches, DayPlans plans, FairService fairs, Clock clock) {
        this.batches = batches;
        this.plans = plans;
        this.fairs = fairs;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public String file() {
        Laid laid = plans.lay(batches.openWork());
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Mardun//Days//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        Map<LocalDate, List<Stretch>> byDay = laid.plan().stretches().stream()
                .collect(Collectors.groupingBy(Stretch::day, TreeMap::new, Collectors.toList()));
        byDay.forEach((day, its) -> calendar.add(work(day, its, laid)));
        laid.works().stream().filter(work -> work.dueOn().isPresent()).forEach(work -> calendar.add(due(work)));
        fairs.coming().forEach(fair -> {
            calendar.add(fair(fair));
            fair.deadlines().forEach(deadline -> calendar.add(deadline(fair, deadline)));
        });
        StringWriter folded = new StringWriter();
        try {
            new CalendarOutputter(false).output(calendar, folded);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return folded.toString();
    }

    private VEvent work(LocalDate day, List<Stretch> its, Laid laid) {
        LocalDateTime from = its.get(0).from();
        LocalDateTime to =
                its.stream().map(Stretch::to).max(LocalDateTime::compareTo).orElseThrow();
        String names = its.stream()
                .map(stretch -> laid.work(stretch.job()).name())
                .distinct()
                .collect(Collectors.joining(", "));
        VEvent event = new VEvent(from, to, "At the bench: " + names);
        event.add(new Description(its.stream()
                .map(stretch -> stretch.from().format(DaysReading.TIME) + " "
                        + laid.turn(stretch).step().name() + ", "
                        + laid.work(stretch.job()).name())
                .collect(Collectors.joining("\n"))));
        return known(event, "day-" + day);
    }

    private VEvent due(OpenWork work) {
        String what = "Due: " + work.name() + (work.forWhat().isEmpty() ? "" : " for " + work.forWhat());
        return known(new VEvent(work.dueOn().orElseThrow(), what), "due-" + work.id());
    }

    private VEvent fair(PinnedFair fair) {
        // A calendar counts up to the day on which it is over.
        VEvent event = fair.endsOn().equals(fair.heldOn())
                ? new VEvent(fair.heldOn(), fair.name())
                : new VEvent(fair.heldOn(), fair.endsOn().plusDays(1), fair.name());
        return known(event, "fair-" + fair.id());
    }

    private VEvent deadline(PinnedFair fair, PinnedFair.Deadline deadline) {
        VEvent event = new VEvent(deadline.day(), fair.name() + ": " + deadline.what());
        return known(event, "fair-" + fair.id() + "-" + deadline.what().replace(' ', '-'));
    }

    private VEvent known(VEvent event, String id) {
        event.replace(new DtStamp(clock.instant()));
        event.add(new Uid(id + "@mardun"));
        return event;
    }
}
