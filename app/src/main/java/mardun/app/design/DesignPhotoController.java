package mardun.app.design;

import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;
import mardun.app.design.DesignViews.DesignPhotoView;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.picture.Pictures;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Photos of what was made of designs. */
@RestController
@RequestMapping("/api/designs/{id}/photos")
@Tag(name = "designs")
class DesignPhotoController {

    private final DesignPhotos photos;

    DesignPhotoController(DesignPhotos photos) {
        this.photos = photos;
    }

    @GetMapping
    List<DesignPhotoView> listDesignPhotos(@PathVariable DesignId id) {
        return photos.of(id);
    }

    /** A photo as a file. */
    @GetMapping("/{photo}")
    ResponseEntity<byte[]> readDesignPhoto(@PathVariable DesignId id, @PathVariable long photo) {
        return photos.file(id, photo);
    }

    /** Keeps a photo of the design in a cloth, or in whatever cloth where none is named. */
    @PutMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    List<DesignPhotoView> putDesignPhoto(
            @PathVariable DesignId id, @RequestParam Optional<MaterialId> cloth, InputStream file) throws IOException {
        return photos.put(id, cloth.orElse(null), file.readNBytes(Pictures.MOST_BYTES + 1));
    }

    @DeleteMapping("/{photo}")
    List<DesignPhotoView> removeDesignPhoto(@PathVariable DesignId id, @PathVariable long photo) {
        return photos.remove(id, photo);
    }
}
