package mardun.app.template;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.id.DesignId;
import mardun.core.design.Design;
import mardun.core.design.SizedPiece;
import mardun.core.design.Sizing;
import mardun.core.measure.Length;
import mardun.core.template.Template;
import org.springframework.stereotype.Component;

/** Which pieces of other designs are cut by the same template, so that one card serves them too. */
@Component
class SharedTemplates {

    private static final int KEPT = 1_000;

    private final DesignService designs;

    /** A revision of a design never changes. */
    private final Cache<AtRevision, Map<UUID, List<String>>> drawn =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    SharedTemplates(DesignService designs) {
        this.designs = designs;
    }

    private record AtRevision(DesignId id, int revision, Length thickestSeam) {}

    /** What is drawn, in few letters. */
    static UUID drawing(SizedPiece piece) {
        String drawn = Template.of(piece, "", List.of()).drawn();
        return UUID.nameUUIDFromBytes(drawn.getBytes(StandardCharsets.UTF_8));
    }

    /** The pieces of all designs but one that a ruler doesn't draw as well, by what is drawn of them: {@code Heron pouch, small: A}. */
    Map<UUID, List<String>> besides(DesignId own, Length thickestSeam) {
        List<DesignId> others = designs.names().stream()
                .map(DesignName::id)
                .filter(id -> !id.equals(own))
                .toList();
        Map<DesignId, Integer> revisions = designs.revisions(others);
        Map<UUID, List<String>> all = new HashMap<>();
        for (DesignId other : others) {
            drawn.get(new AtRevision(other, revisions.get(other), thickestSeam), this::drawn)
                    .forEach((drawing, pieces) -> all.computeIfAbsent(drawing, key -> new ArrayList<>())
                            .addAll(pieces));
        }
        return all;
    }

    private Map<UUID, List<String>> drawn(AtRevision asked) {
        Design design = designs.design(asked.id(), asked.revision());
        Map<UUID, List<String>> drawings = new HashMap<>();
        for (int size = 0; size < design.sizes().size(); size++) {
            String of = design.sizes().size() == 1
                    ? design.name()
                    : design.name() + ", " + design.sizes().get(size);
            for (SizedPiece piece :
                    Sizing.of(design, size, asked.thickestSeam()).pieces()) {
                if (!piece.piece().isPlain()) {
                    drawings.computeIfAbsent(drawing(piece), key -> new ArrayList<>())
                            .add(of + ": " + piece.piece().letter());
                }
            }
        }
        return drawings;
    }
}
