package mardun.app.selling;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.id.FairId;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What went along to the last fairs before another: remembered, since what is over hardly changes and each packing list rests on it. */
@Component
class FairsBefore {

    private static final int FAIRS_LOOKED_AT = 30;

    /** Of the same series: who goes to thirty fairs a year finds the last time at one of them only here. */
    private static final int TURNS_LOOKED_AT = 10;

    private final FairRepository fairs;
    private final PackingLineRepository lines;
    private final Remembered<Before, List<Gone>> gone;
    private final Remembered<FairId, List<Taken>> taken;

    FairsBefore(FairRepository fairs, PackingLineRepository lines, Changes changes) {
        this.fairs = fairs;
        this.lines = lines;
        this.gone = new Remembered<>(changes, "fair");
        this.taken = new Remembered<>(changes, "packing_line");
    }

    private record Before(LocalDate day, FairId but, String series) {}

    /** A fair to which the maker went. */
    private record Gone(FairId fair, String series) {}

    /** So many bags of a kind that went along. */
    record Taken(String bagKind, int units) {}

    /** What went along to a fair of a series. */
    record TakenTo(FairId fair, String series, List<Taken> taken) {}

    /** The last fairs that were over when one begins, and the last ones of its series, but those to which nobody went. */
    @Transactional(readOnly = true)
    public List<TakenTo> of(Fair fair) {
        List<Gone> before = gone.get(new Before(fair.heldOn(), fair.id(), fair.series()), this::read);
        Map<FairId, List<Taken>> its = taken.get(before.stream().map(Gone::fair).toList(), this::readLines);
        return before.stream()
                .map(one -> new TakenTo(one.fair(), one.series(), its.get(one.fair())))
                .toList();
    }

    private List<Gone> read(Before asked) {
        long but = asked.but().value();
        return Stream.concat(
                        fairs
                                .beforeInSeries(asked.series(), asked.day(), but, PageRequest.of(0, TURNS_LOOKED_AT))
                                .stream(),
                        fairs.before(asked.day(), but, PageRequest.of(0, FAIRS_LOOKED_AT)).stream())
                .filter(fair -> fair.state() != FairState.NOT_GOING)
                .map(fair -> new Gone(fair.id(), fair.series()))
                .distinct()
                .toList();
    }

    private Map<FairId, List<Taken>> readLines(Collection<FairId> asked) {
        Map<FairId, List<Taken>> read = new HashMap<>();
        asked.forEach(fair -> read.put(fair, List.of()));
        read.putAll(lines.findByFairIdIn(asked).stream()
                .collect(Collectors.groupingBy(
                        PackingLine::fairId,
                        Collectors.mapping(line -> new Taken(line.bagKind(), line.units()), Collectors.toList()))));
        return read;
    }
}
