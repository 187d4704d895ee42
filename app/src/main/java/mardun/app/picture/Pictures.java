package mardun.app.picture;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import mardun.app.problem.RefusedException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;

/** The maker's own photos: files in the data folder, each with a name of its own, so that a browser may keep them. */
@Component
public class Pictures {

    public static final int MOST_BYTES = 6_000_000;

    private static final Map<String, MediaType> TYPES = Map.of(
            "jpg", MediaType.IMAGE_JPEG,
            "png", MediaType.IMAGE_PNG,
            "webp", MediaType.parseMediaType("image/webp"));

    private static final Logger LOG = LoggerFactory.getLogger(Pictures.class);

    private final Path folder;

    Pictures(@Value("${mardun.data}") Path data) {
        this.folder = data.resolve("pictures");
    }

    /**
     * Keeps a picture, written anew. Answers its name.
     *
     * @throws RefusedException if it is too large, or no picture that a browser shows
     */
    public String keep(byte[] bytes) {
        check(bytes);
        PhotoReader.Photo photo = PhotoReader.read(bytes);
        String name = UUID.randomUUID() + "." + photo.ending();
        try {
            Files.createDirectories(folder);
            Files.write(folder.resolve(name), photo.bytes());
        } catch (IOException e) {
            forget(name);
            throw new UncheckedIOException(e);
        }
        return name;
    }

    /**
     * A picture's bytes.
     *
     * @throws RefusedException if its file is gone
     */
    public byte[] bytes(String name) {
        try {
            return Files.readAllBytes(folder.resolve(name));
        } catch (IOException gone) {
            throw RefusedException.missing("The photo isn't in the data folder any more.");
        }
    }

    /** A picture as a file; a browser may keep it, because another one has another address. */
    public ResponseEntity<byte[]> file(String name) {
        return ResponseEntity.ok()
                .contentType(TYPES.get(name.substring(name.lastIndexOf('.') + 1)))
                .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                .body(bytes(name));
    }

    /** Refuses what isn't a photo by its first bytes; what a file is called is no proof. */
    private static void check(byte[] bytes) {
        if (bytes.length > MOST_BYTES) {
            throw RefusedException.conflict("The photo is larger than 6 MB. Make it smaller first.");
        }
        boolean isPhoto = starts(bytes, 0, 0xFF, 0xD8, 0xFF)
                || starts(bytes, 0, 0x89, 'P', 'N', 'G')
                || starts(bytes, 0, 'R', 'I', 'F', 'F') && starts(bytes, 8, 'W', 'E', 'B', 'P');
        if (!isPhoto) {
            throw PhotoReader.noPhoto();
        }
    }

    private static boolean starts(byte[] bytes, int at, int... wanted) {
        for (int i = 0; i < wanted.length; i++) {
            if (bytes.length <= at + i || (bytes[at + i] & 0xFF) != wanted[i]) {
                return false;
            }
        }
        return true;
    }

    /** Removes a file that nothing shows any more; one that can't be removed just stays in the folder. */
    public void forget(String name) {
        try {
            Files.deleteIfExists(folder.resolve(name));
        } catch (IOException stays) {
            LOG.warn("The photo {} is shown no more, but can't be removed", name, stays);
        }
    }
}
