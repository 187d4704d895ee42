package mardun.app.material;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mardun.app.id.MaterialId;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.RefusedException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Photos of materials: files in the data folder, each with a name of its own, so that a browser may keep them. */
@Service
class MaterialPhotos {

    static final int MOST_BYTES = 6_000_000;

    private static final Map<String, MediaType> TYPES = Map.of(
            "jpg", MediaType.IMAGE_JPEG,
            "png", MediaType.IMAGE_PNG,
            "webp", MediaType.parseMediaType("image/webp"));

    private static final Logger LOG = LoggerFactory.getLogger(MaterialPhotos.class);

    private final MaterialRepository materials;
    private final MaterialService views;
    private final TransactionTemplate transaction;
    private final Path folder;

    MaterialPhotos(
            MaterialRepository materials,
            MaterialService views,
            PlatformTransactionManager transactions,
            @Value("${mardun.data}") Path data) {
        this.materials = materials;
        this.views = views;
        this.transaction = new TransactionTemplate(transactions);
        this.folder = data.resolve("pictures");
    }

    /** A photo as it is shown. */
    record Photo(MediaType type, byte[] bytes) {}

    /** Keeps a photo in the place of the one before, which is removed once the new one is stored. */
    MaterialView put(MaterialId id, long version, byte[] bytes) {
        String kind = kind(bytes);
        String name = UUID.randomUUID() + "." + kind;
        write(name, bytes);
        Optional<String> old;
        try {
            old = replace(id, version, name);
        } catch (RuntimeException refused) {
            forget(name);
            throw refused;
        }
        old.ifPresent(this::forget);
        return views.get(id);
    }

    MaterialView remove(MaterialId id, long version) {
        replace(id, version, null).ifPresent(this::forget);
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

    Photo get(MaterialId id) {
        String name = find(id).photo().orElseThrow(() -> RefusedException.missing("There is no photo of it."));
        try {
            return new Photo(
                    TYPES.get(name.substring(name.lastIndexOf('.') + 1)), Files.readAllBytes(folder.resolve(name)));
        } catch (IOException gone) {
            throw RefusedException.missing("The photo isn't in the data folder any more.");
        }
    }

    private Material find(MaterialId id) {
        return materials
                .findById(id.value())
                .orElseThrow(() -> RefusedException.missing("There is no such material, or no longer."));
    }

    /** The kind of picture, by its first bytes; what a file is called is no proof. */
    private static String kind(byte[] bytes) {
        if (bytes.length > MOST_BYTES) {
            throw RefusedException.conflict("The photo is larger than 6 MB. Make it smaller first.");
        }
        if (starts(bytes, 0, 0xFF, 0xD8, 0xFF)) {
            return "jpg";
        }
        if (starts(bytes, 0, 0x89, 'P', 'N', 'G')) {
            return "png";
        }
        if (starts(bytes, 0, 'R', 'I', 'F', 'F') && starts(bytes, 8, 'W', 'E', 'B', 'P')) {
            return "webp";
        }
        throw RefusedException.conflict("This isn't a photo that can be shown. Choose a JPEG, PNG or WebP picture.");
    }

    private static boolean starts(byte[] bytes, int at, int... wanted) {
        for (int i = 0; i < wanted.length; i++) {
            if (bytes.length <= at + i || (bytes[at + i] & 0xFF) != wanted[i]) {
                return false;
            }
        }
        return true;
    }

    private void write(String name, byte[] bytes) {
        try {
            Files.createDirectories(folder);
            Files.write(folder.resolve(name), bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Removes a file that no material shows; one that can't be removed just stays in the folder. */
    void forget(String name) {
        try {
            Files.deleteIfExists(folder.resolve(name));
        } catch (IOException stays) {
            LOG.warn("The photo {} is shown no more, but can't be removed", name, stays);
        }
    }
}
