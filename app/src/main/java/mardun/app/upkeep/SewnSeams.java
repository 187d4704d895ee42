package mardun.app.upkeep;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import mardun.app.batch.BatchLife;
import mardun.app.batch.BatchLife.NamedLine;
import mardun.app.design.DesignService;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.log.BenchLog;
import mardun.app.log.BenchLog.DoneThere;
import mardun.app.plan.ChosenLine;
import mardun.core.design.Design;
import mardun.core.design.Sizing;
import mardun.core.making.SeamSewn;
import mardun.core.measure.Length;
import mardun.core.picture.SeamPicture;
import org.springframework.stereotype.Component;

/**
 * About how much seam went through a machine: that of the steps that say along which edges they sew, for the bags that were counted; the
 * others were sewn at the same pace.
 */
@Component
class SewnSeams {

    private static final int KEPT_SIZES = 2_000;

    private final BenchLog log;
    private final BatchLife batches;
    private final DesignService designs;

    /** A revision never changes, so what it sews in a size is worked out once. */
    private final Cache<SewnSize, Map<String, Length>> known =
            Caffeine.newBuilder().maximumSize(KEPT_SIZES).build();

    SewnSeams(BenchLog log, BatchLife batches, DesignService designs) {
        this.log = log;
        this.batches = batches;
        this.designs = designs;
    }

    private record SewnSize(DesignId design, int revision, Map<String, String> picks, int size) {}

    /** So much since a moment; zero where no step says what it sews. The caller has a transaction. */
    Length at(String place, Instant from) {
        List<DoneThere> done = log.doneAt(place, from);
        Map<BatchId, List<NamedLine>> lines =
                batches.lines(done.stream().map(DoneThere::batch).toList());
        return SeamSewn.about(done.stream()
                .map(one -> new SeamSewn(each(one, lines.getOrDefault(one.batch(), List.of())), one.bags(), one.took()))
                .toList());
    }

    private Length each(DoneThere done, List<NamedLine> lines) {
        return lines.stream()
                .map(NamedLine::line)
                .filter(line -> line.number() == done.line())
                .findFirst()
                .map(line -> seams(line).getOrDefault(done.step(), Length.ZERO))
                .orElse(Length.ZERO);
    }

    /** By the steps of the line's design, for one bag. */
    private Map<String, Length> seams(ChosenLine line) {
        OptionalInt size =
                designs.revision(line.designId(), line.revision()).document().indexOf(line.sizeKey(), line.sizeName());
        return size.isEmpty()
                ? Map.of()
                : known.get(new SewnSize(line.designId(), line.revision(), line.picks(), size.getAsInt()), this::seams);
    }

    private Map<String, Length> seams(SewnSize its) {
        Design design = designs.made(its.design(), its.revision(), its.picks()).design();
        return SeamPicture.of(design, Sizing.of(design, its.size())).stream()
                .collect(Collectors.toMap(SeamPicture::step, SeamPicture::length));
    }
}
