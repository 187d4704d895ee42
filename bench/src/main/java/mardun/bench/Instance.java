package mardun.bench;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.CuttingTerms;
import mardun.core.cutting.PieceKey;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;
import tools.jackson.databind.JsonNode;

/**
 * A problem with what its best solution is measured against.
 *
 * @param unit nanometres in its unit of length
 * @param stock what counts is the price of bolt and precuts; else it is the length of the bolt
 * @param least no layout takes or costs less
 * @param area of all pieces, in its unit
 */
record Instance(CuttingJob job, long unit, boolean stock, double least, double area) {

    private static final long TENTH_OF_A_MILLIMETRE = 100_000;
    private static final long SIXTY_FOURTH_OF_AN_INCH = 396_875;

    static Instance read(JsonNode json) {
        long unit = json.get("unit").asString().equals("0.1mm") ? TENTH_OF_A_MILLIMETRE : SIXTY_FOURTH_OF_AN_INCH;
        List<CutPiece> pieces = new ArrayList<>();
        double area = 0;
        for (JsonNode piece : json.get("pieces")) {
            String id = piece.get("id").asString();
            Extent extent = extent(piece.get("w"), piece.get("h"), unit);
            pieces.add(new CutPiece(
                    PieceKey.of(id),
                    id,
                    extent,
                    piece.get("qty").asLong(),
                    piece.get("rotate").asBoolean()));
            area += piece.get("w").asDouble()
                    * piece.get("h").asDouble()
                    * piece.get("qty").asDouble();
        }
        boolean stock = json.get("mode").asString().equals("stock");
        Length width = stock ? null : new Length(json.get("W").asLong() * unit);
        BigFraction perNanometre = BigFraction.of(1, unit);
        List<ClothPiece> sheets = new ArrayList<>();
        if (stock) {
            for (JsonNode sheet : json.get("sheets")) {
                if (sheet.get("l").isNull()) {
                    width = new Length(sheet.get("w").asLong() * unit);
                    perNanometre = BigFraction.of(sheet.get("cost_per_len").asLong(), unit);
                } else {
                    sheets.add(new ClothPiece(
                            sheet.get("id").asString(),
                            extent(sheet.get("w"), sheet.get("l"), unit),
                            1,
                            BigFraction.of(sheet.get("cost").asLong())));
                }
            }
        }
        CuttingTerms terms = new CuttingTerms(
                perNanometre,
                BigFraction.ZERO,
                Duration.ZERO,
                Duration.ZERO,
                Duration.ZERO,
                1,
                Length.ZERO,
                Length.ZERO,
                Length.ZERO,
                false);
        double least = (json.has("opt") ? json.get("opt") : json.get("lb")).asDouble();
        return new Instance(new CuttingJob(pieces, width, sheets, terms), unit, stock, least, area);
    }

    private static Extent extent(JsonNode width, JsonNode height, long unit) {
        return new Extent(new Length(width.asLong() * unit), new Length(height.asLong() * unit));
    }

    /** How far a layout is from the least, in per cent of it, or of the pieces' area. */
    double gap(CuttingLayout layout) {
        double used = job.terms()
                .minorPerNanometre()
                .multiply(layout.boltLength().nanometres())
                .doubleValue();
        for (var cloth : layout.cloths()) {
            used += job.sheets().stream()
                    .filter(sheet -> sheet.key().equals(cloth.lot()))
                    .mapToDouble(sheet -> sheet.minorEach().doubleValue())
                    .sum();
        }
        return 100 * (used - least) / (stock ? area : least);
    }
}
