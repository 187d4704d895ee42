package mardun.app.material;

import java.util.Optional;
import mardun.app.id.MaterialId;
import mardun.app.picture.Pictures;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.RefusedException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Photos of materials. */
@Service
class MaterialPhotos {

    private final MaterialRepository materials;
    private final MaterialService views;
    private final Pictures pictures;
    private final TransactionTemplate transaction;

    MaterialPhotos(
            MaterialRepository materials,
            MaterialService views,
            Pictures pictures,
            PlatformTransactionManager transactions) {
        this.materials = materials;
        this.views = views;
        this.pictures = pictures;
        this.transaction = new TransactionTemplate(transactions);
    }

    /** Keeps a photo in the place of the one before, which is removed once the new one is stored. */
    MaterialView put(MaterialId id, long version, byte[] bytes) {
        String name = pictures.keep(bytes);
        Optional<String> old;
        try {
            old = replace(id, version, name);
        } catch (RuntimeException refused) {
            pictures.forget(name);
            throw refused;
        }
        old.ifPresent(pictures::forget);
        return views.get(id);
    }

    MaterialView remove(MaterialId id, long version) {
        replace(id, version, null).ifPresent(pictures::forget);
        return views.get(id);
    }

    private Optional<String> replace(MaterialId id, long version, @Nullable String name) {
        return transaction.execute(status -> {
            Material material = find(id);
            ChangedMeanwhileException.check("“" + material.name() + "”", version, material.version());
            Optional<String> old = material.photo();
            material.show(name);
            materials.saveAndFlush(material);
            return old;
        });
    }

    ResponseEntity<byte[]> get(MaterialId id) {
        return pictures.file(find(id).photo().orElseThrow(() -> RefusedException.missing("There is no photo of it.")));
    }

    private Material find(MaterialId id) {
        return materials
                .findById(id.value())
                .orElseThrow(() -> RefusedException.missing("There is no such material, or no longer."));
    }
}
