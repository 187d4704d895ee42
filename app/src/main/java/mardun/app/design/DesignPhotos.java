package mardun.app.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import mardun.app.design.DesignViews.DesignPhotoView;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.picture.Pictures;
import mardun.app.problem.RefusedException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** The maker's own photos of what was made of designs: at most one in each cloth, and one in whatever cloth. */
@Service
public class DesignPhotos {

    private static final int MOST = 40;

    private final DesignPhotoRepository photos;
    private final DesignService designs;
    private final MaterialService materials;
    private final Pictures pictures;
    private final TransactionTemplate transaction;

    DesignPhotos(
            DesignPhotoRepository photos,
            DesignService designs,
            MaterialService materials,
            Pictures pictures,
            PlatformTransactionManager transactions) {
        this.photos = photos;
        this.designs = designs;
        this.materials = materials;
        this.pictures = pictures;
        this.transaction = new TransactionTemplate(transactions);
    }

    @Transactional(readOnly = true)
    public List<DesignPhotoView> of(DesignId id) {
        designs.version(id);
        List<DesignPhoto> found = photos.findByDesignIdInOrderById(List.of(id));
        Map<MaterialId, String> names = materials.names(found.stream()
                .map(DesignPhoto::materialId)
                .filter(Objects::nonNull)
                .toList());
        return found.stream()
                .map(photo -> new DesignPhotoView(
                        photo.id(), photo.materialId(), names.getOrDefault(photo.materialId(), ""), photo.address()))
                .toList();
    }

    /**
     * A photo as a file.
     *
     * @param cloth the name of the cloth that it shows; empty for whatever cloth
     */
    public record PhotoFile(String file, String cloth) {}

    /** The photos of a design as files. */
    @Transactional(readOnly = true)
    public List<PhotoFile> files(DesignId id) {
        List<DesignPhoto> found = photos.findByDesignIdInOrderById(List.of(id));
        Map<MaterialId, String> names = materials.names(found.stream()
                .map(DesignPhoto::materialId)
                .filter(Objects::nonNull)
                .toList());
        return found.stream()
                .map(photo -> new PhotoFile(photo.photo(), names.getOrDefault(photo.materialId(), "")))
                .toList();
    }

    /**
     * Gives a new design a photo that is kept already.
     *
     * @param cloth absent for whatever cloth
     */
    @Transactional
    public void add(DesignId id, @Nullable MaterialId cloth, String file) {
        photos.save(new DesignPhoto(id, cloth, file));
    }

    ResponseEntity<byte[]> file(DesignId id, long photo) {
        return pictures.file(find(id, photo).photo());
    }

    private DesignPhoto find(DesignId id, long photo) {
        return photos.findByIdAndDesignId(photo, id)
                .orElseThrow(() -> RefusedException.missing("There is no such photo, or no longer."));
    }

    /**
     * Keeps a photo in the place of the one that there was in the same cloth.
     *
     * @param cloth absent for whatever cloth
     */
    List<DesignPhotoView> put(DesignId id, @Nullable MaterialId cloth, byte[] bytes) {
        designs.version(id);
        if (cloth != null && materials.names(List.of(cloth)).isEmpty()) {
            throw RefusedException.missing("There is no such cloth, or no longer.");
        }
        String name = pictures.keep(bytes);
        List<String> old = new ArrayList<>();
        try {
            transaction.executeWithoutResult(status -> {
                List<DesignPhoto> all = photos.findByDesignIdInOrderById(List.of(id));
                List<DesignPhoto> replaced = all.stream()
                        .filter(one -> Objects.equals(one.materialId(), cloth))
                        .toList();
                if (all.size() - replaced.size() >= MOST) {
                    throw RefusedException.conflict(
                            "There are " + MOST + " photos of it already. Take one away first.");
                }
                photos.deleteAll(replaced);
                photos.save(new DesignPhoto(id, cloth, name));
                replaced.forEach(one -> old.add(one.photo()));
            });
        } catch (RuntimeException refused) {
            pictures.forget(name);
            throw refused;
        }
        old.forEach(pictures::forget);
        return of(id);
    }

    List<DesignPhotoView> remove(DesignId id, long photo) {
        DesignPhoto found = find(id, photo);
        transaction.executeWithoutResult(status -> photos.deleteById(found.id()));
        pictures.forget(found.photo());
        return of(id);
    }
}
