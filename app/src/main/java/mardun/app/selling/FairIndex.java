package mardun.app.selling;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import mardun.app.id.FairId;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import org.springframework.stereotype.Component;

/** All fairs by name, day and series, without what else is known of each: enough to find them and to count the turns of a series. */
@Component
class FairIndex {

    private static final String ALL = "all";

    private final FairRepository repository;
    private final Remembered<String, Known> known;

    FairIndex(FairRepository repository, Changes changes) {
        this.repository = repository;
        this.known = new Remembered<>(changes, "fair");
    }

    /** A fair as it is found. */
    record Entry(long id, String name, String series, LocalDate heldOn, LocalDate endsOn, FairState state) {

        Entry {
            series = Fair.series(series, name);
        }

        private String words() {
            return name + " " + series;
        }
    }

    /**
     * What is known of all.
     *
     * @param turns which time of its series each fair is, from 1; none for those to which the maker doesn't go
     */
    private record Known(List<Entry> newestFirst, Map<Long, Integer> turns) {

        private static Known of(List<Entry> oldestFirst) {
            Map<String, Integer> times = new HashMap<>();
            Map<Long, Integer> turns = new HashMap<>();
            oldestFirst.stream()
                    .filter(fair -> fair.state() != FairState.NOT_GOING)
                    .forEach(fair -> turns.put(fair.id(), times.merge(fair.series(), 1, Integer::sum)));
            List<Entry> newestFirst = new ArrayList<>(oldestFirst);
            Collections.reverse(newestFirst);
            return new Known(List.copyOf(newestFirst), Map.copyOf(turns));
        }
    }

    private Known known() {
        return known.get(ALL, all -> Known.of(repository.entries()));
    }

    /** The numbers of the fairs that are over and hold some words in their name or series, the newest first. */
    List<FairId> past(LocalDate today, Pattern words) {
        return known().newestFirst().stream()
                .filter(fair -> fair.endsOn().isBefore(today))
                .filter(fair -> words.matcher(fair.words()).find())
                .map(fair -> new FairId(fair.id()))
                .toList();
    }

    /** Which time of its series a fair is, from 1; 0 for one to which the maker doesn't go. */
    int turn(FairId id) {
        return known().turns().getOrDefault(id.value(), 0);
    }
}
