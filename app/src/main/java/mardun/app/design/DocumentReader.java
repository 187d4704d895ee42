package mardun.app.design;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mardun.app.design.DesignDocument.MeasurementRow;
import mardun.app.design.DesignDocument.PieceRow;
import mardun.app.design.DesignDocument.StepRow;
import mardun.app.problem.FieldReader;
import mardun.core.design.BoxedBag;
import mardun.core.design.Design;
import mardun.core.design.Measurement;
import mardun.core.design.NotionNeed;
import mardun.core.design.Piece;
import mardun.core.design.TrimNeed;
import mardun.core.making.SetUp;
import mardun.core.making.Step;
import mardun.core.measure.UnitSystem;

/** Turns a design's document into the core's design. */
final class DocumentReader {

    private static final BigDecimal MOST_MINUTES = BigDecimal.valueOf(6000);
    private static final BigDecimal SECONDS_PER_MINUTE = BigDecimal.valueOf(60);

    private DocumentReader() {}

    /** The document as it is kept: names without spaces around them, bare lengths with the maker's unit. */
    static DesignDocument kept(DesignDocument document, UnitSystem system) {
        return new DesignDocument(
                document.name().strip(),
                document.sizes().stream().map(String::strip).toList(),
                document.usualUnits(),
                document.measurements().stream()
                        .map(m -> new MeasurementRow(
                                m.symbol(),
                                m.label().strip(),
                                m.kind(),
                                m.values().stream()
                                        .map(v -> Measurement.kept(v, system))
                                        .toList()))
                        .toList(),
                document.boxed(),
                document.pieces(),
                document.trims(),
                document.notions(),
                document.steps(),
                document.slots());
    }

    /** The core's design; what can't be read of names, sizes and minutes is gathered in {@code fields}. */
    static Design read(DesignDocument document, FieldReader fields) {
        String name = fields.text("name", document.name(), 120);
        Set<String> sizes = new HashSet<>();
        for (int i = 0; i < document.sizes().size(); i++) {
            String size = fields.text("sizes." + i, document.sizes().get(i), 60);
            if (!sizes.add(size)) {
                fields.refuse("sizes." + i, size, "Two sizes are called “" + size + "”. Type another name.");
            }
        }
        for (MeasurementRow row : document.measurements()) {
            if (row.values().size() != 1
                    && row.values().size() != document.sizes().size()) {
                fields.refuse(
                        "measurements." + row.symbol(),
                        row.values().toString(),
                        row.label() + " has " + row.values().size() + " values for "
                                + document.sizes().size() + " sizes.");
            }
        }
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < document.steps().size(); i++) {
            steps.add(step(document.steps().get(i), "steps." + i, fields));
        }
        return new Design(
                name,
                document.sizes(),
                document.measurements().stream()
                        .map(m -> new Measurement(m.symbol(), m.label(), m.kind(), m.values()))
                        .toList(),
                boxed(document.boxed()),
                document.pieces().stream().map(DocumentReader::piece).toList(),
                document.trims().stream()
                        .map(t -> new TrimNeed(t.name(), t.slot(), t.perUnit(), t.length()))
                        .toList(),
                document.notions().stream()
                        .map(n -> new NotionNeed(n.name(), n.slot(), n.perUnit()))
                        .toList(),
                steps);
    }

    private static BoxedBag boxed(DesignDocument.BoxedRow row) {
        return new BoxedBag(
                row.school(),
                row.base(),
                row.outer(),
                row.lining(),
                row.depth(),
                row.sideSeam(),
                row.topSeam(),
                row.baseSeam(),
                row.boxingSeam(),
                row.zipShows());
    }

    private static Piece piece(PieceRow row) {
        return new Piece(
                row.letter(),
                row.name(),
                row.role(),
                row.slot(),
                row.perUnit(),
                row.width(),
                row.height(),
                row.directional(),
                row.boxed(),
                Optional.ofNullable(row.backs()));
    }

    private static Step step(StepRow row, String place, FieldReader fields) {
        return new Step(
                fields.text(place + ".name", row.name(), 120),
                row.stage(),
                row.station(),
                new SetUp(row.needle(), row.thread(), row.foot(), row.stitch()),
                minutes(fields, place + ".minutesPerUnit", row.minutesPerUnit()),
                minutes(fields, place + ".minutesPerBatch", row.minutesPerBatch()),
                minutes(fields, place + ".passiveMinutes", row.passiveMinutes()),
                row.check());
    }

    private static Duration minutes(FieldReader fields, String field, String typed) {
        BigDecimal minutes = fields.decimal(field, typed, BigDecimal.ZERO, MOST_MINUTES);
        return Duration.ofSeconds(minutes.multiply(SECONDS_PER_MINUTE)
                .setScale(0, RoundingMode.HALF_UP)
                .longValueExact());
    }
}
