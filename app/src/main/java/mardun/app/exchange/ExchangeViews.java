package mardun.app.exchange;

import java.util.List;
import java.util.Map;
import mardun.app.design.DesignDocument;
import mardun.app.id.DesignId;
import mardun.core.material.MaterialKind;
import org.jspecify.annotations.Nullable;

/** Designs as they go out and come in: files that a person can read. */
public final class ExchangeViews {

    private ExchangeViews() {}

    /**
     * A design in a file.
     *
     * @param kind tells it from other files
     * @param format of the file
     * @param design all of it; what belongs to one workroom alone isn't in it
     * @param materials what its slots were usually filled with, by the slots' keys
     * @param photos that lie beside it in a ZIP file; absent where there is none
     */
    public record DesignFile(
            String kind,
            int format,
            DesignDocument design,
            Map<String, MaterialDescription> materials,
            @Nullable List<FilePhoto> photos) {}

    /**
     * A photo in a ZIP file.
     *
     * @param file its path there: {@code photos/1.jpg}
     * @param cloth the name of the cloth that it shows; empty for whatever cloth
     */
    public record FilePhoto(String file, String cloth) {}

    /** A material by what it is: another workroom has another one of the name, or none. */
    public record MaterialDescription(String name, MaterialKind kind, String colour) {}

    /**
     * Designs in a file.
     *
     * @param designs one or more
     */
    public record DesignBook(String kind, int format, List<DesignFile> designs) {}

    /**
     * What came in.
     *
     * @param unmatched what its materials are called that aren't on this shelf, by design and slot
     */
    public record ImportedDesigns(List<ImportedDesign> designs, List<String> unmatched) {}

    public record ImportedDesign(DesignId id, String name) {}
}
