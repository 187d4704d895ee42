package mardun.app.material;

import jakarta.persistence.Converter;
import java.util.List;
import java.util.Optional;
import mardun.app.json.JsonColumn;
import mardun.core.material.PrintMotif;
import mardun.core.measure.Length;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;

/**
 * What is marked in a cloth's print, as it is stored.
 *
 * @param acrossNm the width after which it comes again; absent where it doesn't, or nobody said
 * @param frame where a repeat is on the cloth's photo
 */
record PrintMarks(@Nullable Long acrossNm, Frame frame, List<StoredMotif> motifs) {

    /** Nothing is marked. */
    static final PrintMarks NONE = new PrintMarks(null, Frame.WHOLE, List.of());

    PrintMarks {
        motifs = List.copyOf(motifs);
    }

    /** A part of the print, with where its middle is in a repeat. */
    record StoredMotif(String name, @Nullable Long acrossNm, long downNm) {

        PrintMotif motif() {
            return new PrintMotif(name, Facts.length(acrossNm), new Length(downNm));
        }
    }

    Optional<Length> across() {
        return Facts.length(acrossNm);
    }

    List<PrintMotif> parts() {
        return motifs.stream().map(StoredMotif::motif).toList();
    }

    /** Keeps it as JSON in one column. */
    @Converter
    @Immutable
    static class InColumn extends JsonColumn<PrintMarks> {

        InColumn() {
            super(new TypeReference<>() {});
        }
    }
}
