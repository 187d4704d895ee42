package mardun.app.bench;

import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.design.DesignService;
import mardun.app.id.DesignId;
import mardun.app.picture.Pictures;
import mardun.app.problem.RefusedException;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** The maker's own photos of how steps are done. */
@Service
class StepPhotos {

    private final StepPhotoRepository photos;
    private final DesignService designs;
    private final Pictures pictures;
    private final TransactionTemplate transaction;

    StepPhotos(
            StepPhotoRepository photos,
            DesignService designs,
            Pictures pictures,
            PlatformTransactionManager transactions) {
        this.photos = photos;
        this.designs = designs;
        this.pictures = pictures;
        this.transaction = new TransactionTemplate(transactions);
    }

    /** The names of the photos of some designs' steps. */
    @Transactional(readOnly = true)
    public Map<StepPhoto.Key, String> of(Collection<DesignId> designIds) {
        return photos.findByKeyDesignIdIn(designIds).stream()
                .collect(Collectors.toMap(StepPhoto::key, StepPhoto::photo));
    }

    ResponseEntity<byte[]> get(DesignId design, String step) {
        return pictures.file(photos.findById(new StepPhoto.Key(design, step))
                .map(StepPhoto::photo)
                .orElseThrow(() -> RefusedException.missing("There is no photo of this step.")));
    }

    /** Keeps a photo in the place of the one before, which is removed once the new one is stored. */
    void put(DesignId design, String step, byte[] bytes) {
        StepPhoto.Key key = new StepPhoto.Key(design, step);
        boolean isStep = designs.document(design).steps().stream()
                .anyMatch(one -> one.key().equals(step));
        if (!isStep) {
            throw RefusedException.missing("This design has no such step, or no longer.");
        }
        String name = pictures.keep(bytes);
        Optional<String> old = transaction.execute(status -> {
            Optional<StepPhoto> before = photos.findById(key);
            Optional<String> its = before.map(StepPhoto::photo);
            before.ifPresentOrElse(photo -> photo.show(name), () -> photos.save(new StepPhoto(key, name)));
            return its;
        });
        old.ifPresent(pictures::forget);
    }

    void remove(DesignId design, String step) {
        Optional<String> old = transaction.execute(status -> {
            Optional<StepPhoto> before = photos.findById(new StepPhoto.Key(design, step));
            before.ifPresent(photos::delete);
            return before.map(StepPhoto::photo);
        });
        old.ifPresent(pictures::forget);
    }
}
