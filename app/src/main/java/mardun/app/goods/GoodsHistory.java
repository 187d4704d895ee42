package mardun.app.goods;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.show.SearchWords;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How finished bags came and went, day by day. */
@Service
public class GoodsHistory {

    private final GoodsMovementRepository movements;

    GoodsHistory(GoodsMovementRepository movements) {
        this.movements = movements;
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
        String words = query.strip().toLowerCase(Locale.ROOT);
        Set<GoodsKind> kinds = Arrays.stream(GoodsKind.values())
                .filter(kind -> kind.words().toLowerCase(Locale.ROOT).contains(words))
                .collect(Collectors.toSet());
        // A query can't look for one of none, and what was made is told with its batch.
        return movements.found(
                until, SearchWords.like(query), kinds.isEmpty() ? Set.of(GoodsKind.MADE) : kinds, Limit.of(most));
    }
}
