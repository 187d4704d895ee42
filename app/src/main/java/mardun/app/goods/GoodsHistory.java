package mardun.app.goods;

import java.time.Instant;
import java.util.List;
import mardun.app.show.SearchWords;
import mardun.app.stored.Changes;
import mardun.app.stored.WordedLog;
import mardun.app.stored.WordedLog.Worded;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How finished bags came and went, day by day. */
@Service
public class GoodsHistory {

    private final GoodsMovementRepository movements;
    private final WordedLog<Long> words;

    GoodsHistory(GoodsMovementRepository movements, Changes changes) {
        this.movements = movements;
        words = new WordedLog<>(
                changes,
                "goods_movement",
                id -> movements.wordedAfter(id).stream()
                        .map(one -> new Worded<>(one.id(), one.id(), one.at(), words(one)))
                        .toList());
    }

    private static String words(GoodsMovementRepository.Worded one) {
        return String.join(
                " ",
                one.design(),
                one.size(),
                one.place(),
                one.reason(),
                one.kind().words());
    }

    /**
     * Some bags that came to a place or left it.
     *
     * @param units how many, below zero where they left
     */
    public record Moved(
            String design, String size, GoodsKind kind, int units, String place, String reason, Instant at) {}

    /** What came and left before a moment beside what was made, the newest first. */
    @Transactional(readOnly = true)
    public List<Moved> before(Instant until, int most) {
        return movements.before(until, Limit.of(most));
    }

    /** The same as far as what is looked for is found in them. */
    @Transactional(readOnly = true)
    public List<Moved> found(Instant until, String query, int most) {
        List<Long> found = words.found(until, SearchWords.pattern(query), none -> false, most);
        return found.isEmpty() ? List.of() : movements.told(found);
    }
}
