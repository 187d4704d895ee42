package mardun.app.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import mardun.app.picture.Pictures;
import mardun.app.problem.RefusedException;

/** Designs with their photos in one ZIP file: {@code designs.json}, and the photos that it names. */
final class DesignArchive implements AutoCloseable {

    static final String DESIGNS = "designs.json";
    static final String PHOTOS = "photos/";

    private static final Pattern PHOTO = Pattern.compile(PHOTOS + "[A-Za-z0-9-]{1,60}\\.(?:jpg|png|webp)");
    private static final int MOST_ENTRIES = 20_000;

    private final ZipFile zip;

    private DesignArchive(ZipFile zip) {
        this.zip = zip;
    }

    /**
     * Writes an archive.
     *
     * @param json what {@code designs.json} says
     * @param photos the names of the photos that it names
     * @param bytes of a photo, by its name
     */
    static void write(OutputStream out, String json, List<String> photos, Function<String, byte[]> bytes)
            throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out);
        zip.putNextEntry(new ZipEntry(DESIGNS));
        zip.write(json.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
        // Photos are packed already.
        zip.setLevel(0);
        for (String photo : photos) {
            zip.putNextEntry(new ZipEntry(PHOTOS + photo));
            zip.write(bytes.apply(photo));
            zip.closeEntry();
        }
        zip.finish();
    }

    /** Whether a file is a ZIP file, by its first bytes. */
    static boolean isOne(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            byte[] first = in.readNBytes(4);
            return first.length == 4 && first[0] == 'P' && first[1] == 'K' && first[2] == 3 && first[3] == 4;
        }
    }

    /**
     * Opens an archive; what is in it is read when it is asked for.
     *
     * @throws RefusedException if it is damaged, or holds what no design has
     */
    static DesignArchive open(Path file) throws IOException {
        ZipFile zip;
        try {
            zip = new ZipFile(file.toFile());
        } catch (ZipException damaged) {
            throw RefusedException.conflict("The ZIP file is damaged or cut off. Nothing was taken in.");
        }
        DesignArchive archive = new DesignArchive(zip);
        try {
            archive.refuseStrangers();
        } catch (RefusedException strange) {
            archive.close();
            throw strange;
        }
        return archive;
    }

    private void refuseStrangers() {
        if (zip.size() > MOST_ENTRIES) {
            throw RefusedException.conflict(
                    "There are " + zip.size() + " files in it, and Mardun reads at most " + MOST_ENTRIES + ".");
        }
        for (ZipEntry entry : Collections.list(zip.entries())) {
            if (!entry.getName().equals(DESIGNS)
                    && !PHOTO.matcher(entry.getName()).matches()) {
                String name = entry.getName();
                throw RefusedException.conflict(
                        "“" + name.substring(0, Math.min(80, name.length()))
                                + "” has no place in a file of designs: there are designs.json and photos. Nothing was taken in.");
            }
        }
        if (zip.getEntry(DESIGNS) == null) {
            throw RefusedException.conflict("There is no designs.json in it. Nothing was taken in.");
        }
    }

    byte[] designs() throws IOException {
        return bytes(DESIGNS, DesignExchange.MOST_BYTES);
    }

    /** The photos that are in it, by their paths. */
    Set<String> photos() {
        return Collections.list(zip.entries()).stream()
                .map(ZipEntry::getName)
                .filter(name -> name.startsWith(PHOTOS))
                .collect(Collectors.toSet());
    }

    /** A photo as it is in the file, one byte more than is kept at most. */
    byte[] photo(String path) throws IOException {
        return bytes(path, Pictures.MOST_BYTES);
    }

    private byte[] bytes(String name, int most) throws IOException {
        try (InputStream in = zip.getInputStream(zip.getEntry(name))) {
            return in.readNBytes(most + 1);
        } catch (ZipException damaged) {
            throw RefusedException.conflict("“" + name + "” in the ZIP file is damaged. Nothing was taken in.");
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
