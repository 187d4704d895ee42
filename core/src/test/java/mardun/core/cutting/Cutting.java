package mardun.core.cutting;

import java.time.Duration;
import java.util.List;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.apache.commons.numbers.fraction.BigFraction;

/** Jobs for the tests. */
final class Cutting {

    private Cutting() {}

    static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    /** Cloth at 10.00 for a metre, time at 18.00 an hour, four layers at once; offcuts from 6 x 12 in are kept. */
    static CuttingTerms terms() {
        return new CuttingTerms(
                BigFraction.of(1000, 1_000_000_000),
                BigFraction.of(1800, 3600),
                Duration.ofSeconds(60),
                Duration.ofSeconds(10),
                Duration.ofSeconds(4),
                4,
                in("1/4"),
                in("6"),
                in("12"),
                true);
    }

    static CuttingJob job(Length width, List<CutPiece> pieces, ClothPiece... sheets) {
        return new CuttingJob(pieces, width, List.of(sheets), terms());
    }
}
