package mardun.app.design;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.id.DesignId;
import org.springframework.stereotype.Component;

/** Which photo stands for a design where only one is shown: that in whatever cloth, or else the first. */
@Component
class StandingPhotos {

    private final DesignPhotoRepository photos;

    StandingPhotos(DesignPhotoRepository photos) {
        this.photos = photos;
    }

    /** The photos' addresses, by the designs that have any. */
    Map<DesignId, String> of(Collection<DesignId> ids) {
        Map<DesignId, DesignPhoto> standing = new HashMap<>();
        for (DesignPhoto photo : photos.findByDesignIdInOrderById(ids)) {
            standing.merge(photo.designId(), photo, (one, other) -> other.materialId() == null ? other : one);
        }
        return standing.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, entry -> entry.getValue().address()));
    }
}
