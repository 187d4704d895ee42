package mardun.app.design;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.stored.Changes;
import org.springframework.stereotype.Component;

/** Which photo stands for bags where only one is shown, in the place of their drawing. */
@Component
public class StandingPhotos {

    private final DesignPhotoRepository photos;
    private final Changes changes;

    StandingPhotos(DesignPhotoRepository photos, Changes changes) {
        this.photos = photos;
        this.changes = changes;
    }

    /**
     * Bags that are shown.
     *
     * @param cloth their outer cloth; empty where nobody kept that
     */
    public record PhotoOf(DesignId design, Optional<MaterialId> cloth) {}

    /** For a design as a whole: the photo in whatever cloth, or else the first. By the designs that have any: the photos' addresses. */
    Map<DesignId, String> ofDesigns(Collection<DesignId> ids) {
        Map<DesignId, DesignPhoto> standing = new HashMap<>();
        for (DesignPhoto photo : photos.findByDesignIdInOrderById(ids)) {
            standing.merge(photo.designId(), photo, (one, other) -> other.materialId() == null ? other : one);
        }
        return standing.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, entry -> entry.getValue().address()));
    }

    /** For bags of some designs: the photo in their cloth, or else that in whatever cloth; the address, or empty where they are drawn. */
    public Function<PhotoOf, Optional<String>> of(Collection<DesignId> ids) {
        Map<DesignId, List<DesignPhoto>> known =
                photos.findByDesignIdInOrderById(ids).stream().collect(Collectors.groupingBy(DesignPhoto::designId));
        return bag -> {
            List<DesignPhoto> its = known.getOrDefault(bag.design(), List.of());
            return its.stream()
                    .filter(photo -> photo.materialId() != null && bag.cloth().equals(Optional.of(photo.materialId())))
                    .findFirst()
                    .or(() -> its.stream()
                            .filter(photo -> photo.materialId() == null)
                            .findFirst())
                    .map(DesignPhoto::address);
        };
    }

    /** How often a photo came or went since the application was started. */
    public long count() {
        return changes.countOf("design_photo");
    }
}
