package mardun.app.goods;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
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
            String design, String size, GoodsKind kind, int units, String place, String reason, Instant at) {

        /** Whether what is looked for stands in it. */
        public boolean has(String query) {
            return (design + " " + size + " " + kind.words() + " " + place + " " + reason)
                    .toLowerCase(Locale.ROOT)
                    .contains(query.strip().toLowerCase(Locale.ROOT));
        }
    }

    /** What came and left before a moment beside what was made, the newest first. */
    @Transactional(readOnly = true)
    public List<Moved> before(Instant until, int most) {
        return movements.before(until, Limit.of(most));
    }
}
