package mardun.app.cutting;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import mardun.app.batch.BatchSheetWriter;
import mardun.app.cutting.CuttingSheets.Sheet;
import mardun.app.cutting.CuttingViews.AimView;
import mardun.app.cutting.CuttingViews.BillView;
import mardun.app.cutting.CuttingViews.LaidPiece;
import mardun.app.cutting.CuttingViews.MatView;
import mardun.app.cutting.CuttingViews.OtherPiece;
import mardun.app.cutting.CuttingViews.RestView;
import mardun.app.cutting.CuttingViews.ShownPart;
import mardun.app.cutting.CuttingViews.StepView;
import mardun.app.cutting.CuttingViews.StripPart;
import mardun.app.plan.CuttingJobs;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.SidesView;
import mardun.core.cutting.ClothLayout;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.CutOrder;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CutTree;
import mardun.core.cutting.CuttingBill;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.Offcuts;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.PieceNumbers;
import mardun.core.cutting.Recut;
import mardun.core.cutting.StripsOnRolls;
import mardun.core.design.Point;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Value;
import org.apache.commons.numbers.fraction.BigFraction;
import org.jspecify.annotations.Nullable;

/**
 * Writes the layout of one cloth: the pieces on the mat with the bag each belongs to, and the cuts in order.
 *
 * @param several the batch has several lines, so that pieces are called by line and letter
 * @param lotName tells a lot from the others of this cloth
 */
record CuttingWriter(ViewWriter writer, CuttingJob job, boolean several, UnaryOperator<String> lotName) {

    private String label(PieceKey key) {
        return BatchSheetWriter.label(key, several);
    }

    /** What a part of a strip is: {@code A}, or {@code A+A} for two head to tail. */
    private String label(Placed piece) {
        String one = label(piece.key());
        return piece.paired() ? one + "+" + one : one;
    }

    /** The second of two that lie head to tail, and both outlines as they lie. */
    private OtherPiece other(Placed piece, PieceNumbers.Number number) {
        return new OtherPiece(
                number.ofItsKind(),
                number.bag(),
                job.pieces().stream()
                        .filter(kind -> kind.key().equals(piece.key()))
                        .findFirst()
                        .flatMap(CutPiece::pair)
                        .map(pair -> pair.lies().shapes(pair.contour(), piece.turned()).stream()
                                .map(CuttingWriter::path)
                                .toList())
                        .orElse(List.of()));
    }

    /** A closed line as a path in millimetres. */
    private static String path(List<Point> points) {
        StringBuilder path = new StringBuilder();
        for (Point point : points) {
            path.append(path.isEmpty() ? 'M' : 'L')
                    .append(String.format(Locale.ROOT, "%.2f %.2f", point.x(), point.y()));
        }
        return path.append('Z').toString();
    }

    /** A mat for each cloth of a layout; pieces that are cut once more are steps of their own. */
    List<MatView> mats(Sheet sheet) {
        CuttingLayout whole = CuttingJobs.whole(sheet.layout(), sheet.recuts(), job.cloth());
        PieceNumbers numbers = new PieceNumbers(job.bags());
        List<MatView> mats = new ArrayList<>();
        for (int i = 0; i < whole.cloths().size(); i++) {
            ClothLayout cloth = whole.cloths().get(i);
            List<StepView> steps = new ArrayList<>();
            List<LaidPiece> pieces = new ArrayList<>();
            Set<String> done = Set.copyOf(sheet.done());
            if (i < sheet.layout().cloths().size()) {
                ClothLayout first = sheet.layout().cloths().get(i);
                for (CutOrder.Step step : CutOrder.of(
                                first, job.terms().layers(), job.terms().squaring())
                        .steps()) {
                    String key = key(i, step);
                    steps.add(step(step, key, done.contains(key)));
                    step.pieces()
                            .forEach(piece -> pieces.add(laid(
                                    piece,
                                    numbers.next(piece.key()),
                                    piece.paired() ? Optional.of(numbers.next(piece.key())) : Optional.empty(),
                                    key)));
                }
            }
            if (steps.isEmpty()) {
                int beyond = i;
                CutOrder.square(cloth, job.terms().squaring())
                        .map(step -> step(step, key(beyond, step), done.contains(key(beyond, step))))
                        .ifPresent(steps::add);
            }
            again(sheet, i, numbers, steps, pieces);
            mats.add(new MatView(
                    title(i, whole),
                    i,
                    writer.length(cloth.width(), ShownRounding.DOWN),
                    writer.length(cloth.length(), ShownRounding.UP),
                    cloth.width().nanometres(),
                    cloth.length().nanometres(),
                    pieces,
                    rests(cloth),
                    steps));
        }
        return mats;
    }

    private String title(int which, CuttingLayout whole) {
        ClothLayout cloth = whole.cloths().get(which);
        if (cloth.isOfAnySheet()) {
            return "Sheet " + (which + 1) + " of " + whole.sheets();
        }
        if (cloth.isOfAnyRoll()) {
            boolean isThere = StripsOnRolls.toBuy(
                            cloth, whole, job.cloth(), job.terms().squaring())
                    .isZero();
            String another = isThere ? "From another roll" : "From a roll that is still to be bought";
            return job.cloth().rolls().isEmpty() ? "From the roll" : another;
        }
        return cloth.isBolt()
                ? "From roll " + lotName.apply(cloth.lot())
                : "Offcut " + lotName.apply(cloth.lot()) + ", "
                        + writer.text(new Value.OnTheShelf(cloth.width())) + " × "
                        + writer.text(new Value.OnTheShelf(cloth.length()));
    }

    private static String key(int cloth, CutOrder.Step step) {
        return cloth + ":" + step.kind() + ":" + step.x().nanometres() + ":"
                + step.y().nanometres();
    }

    private LaidPiece laid(
            Placed piece, PieceNumbers.Number number, Optional<PieceNumbers.Number> second, String step) {
        return new LaidPiece(
                label(piece.key()),
                number.ofItsKind(),
                several ? number.line() : 0,
                number.bag(),
                piece.x().nanometres(),
                piece.y().nanometres(),
                piece.width().nanometres(),
                piece.height().nanometres(),
                piece.turned(),
                step,
                second.map(its -> other(piece, its)).orElse(null),
                shows(piece));
    }

    private @Nullable ShownPart shows(Placed piece) {
        return job.pieces().stream()
                .filter(kind -> kind.key().equals(piece.key()))
                .findFirst()
                .flatMap(CutPiece::shows)
                .map(place -> new ShownPart(
                        place.motif(),
                        piece.x().plus(place.fromLeft()).nanometres(),
                        piece.y().plus(place.fromTop()).nanometres()))
                .orElse(null);
    }

    private void again(Sheet sheet, int cloth, PieceNumbers numbers, List<StepView> steps, List<LaidPiece> pieces) {
        for (int i = 0; i < sheet.recuts().size(); i++) {
            Recut recut = sheet.recuts().get(i);
            if (recut.cloth() == cloth) {
                String key = "again:" + i;
                Placed piece = recut.piece();
                pieces.add(laid(piece, numbers.again(piece.key()), Optional.empty(), key));
                StripPart part = new StripPart(
                        1, writer.length(piece.width(), ShownRounding.UP), label(piece.key()), false, List.of());
                steps.add(new StepView(
                        key,
                        CutOrder.Kind.STRIP,
                        true,
                        writer.length(piece.height(), ShownRounding.UP),
                        1,
                        null,
                        1,
                        piece.y().nanometres(),
                        piece.top().nanometres(),
                        List.of(part),
                        "1 of " + label(piece.key()),
                        true,
                        sheet.done().contains(key)));
            }
        }
    }

    private StepView step(CutOrder.Step step, String key, boolean done) {
        Map<String, Integer> gives = new LinkedHashMap<>();
        count(step.parts(), step.times(), gives);
        Length from = step.across() ? step.y() : step.x();
        return new StepView(
                key,
                step.kind(),
                step.across(),
                writer.length(step.size(), ShownRounding.UP),
                step.times(),
                step.pitch()
                        .map(pitch -> writer.length(pitch, ShownRounding.NEAREST))
                        .orElse(null),
                step.layers(),
                from.nanometres(),
                from.plus(step.across() ? step.extent().height() : step.extent().width())
                        .nanometres(),
                step.parts().stream().map(this::part).toList(),
                gives.entrySet().stream()
                        .map(entry -> entry.getValue() + " of " + entry.getKey())
                        .collect(Collectors.joining(", ")),
                false,
                done);
    }

    private void count(List<CutOrder.Part> parts, int times, Map<String, Integer> gives) {
        for (CutOrder.Part part : parts) {
            part.piece()
                    .ifPresent(piece -> gives.merge(
                            label(piece.key()), times * part.times() * Math.toIntExact(piece.count()), Integer::sum));
            count(part.parts(), times * part.times(), gives);
        }
    }

    private StripPart part(CutOrder.Part part) {
        return new StripPart(
                part.times(),
                writer.length(part.size(), part.isRest() ? ShownRounding.DOWN : ShownRounding.UP),
                part.piece().map(this::label).orElse(""),
                part.isRest(),
                part.parts().stream().map(this::part).toList());
    }

    /** What is left of a sheet isn't booked back, so nothing is promised of it. */
    private List<RestView> rests(ClothLayout cloth) {
        if (cloth.isOfAnySheet()) {
            return List.of();
        }
        return CutTree.of(cloth)
                .rests()
                .filter(rest -> Offcuts.isWorthKeeping(
                        rest.extent(), job.terms().keepShort(), job.terms().keepLong()))
                .sorted(Comparator.comparing((CutTree rest) -> rest.extent().area())
                        .reversed())
                .map(rest -> new RestView(
                        rest.x().nanometres(),
                        rest.y().nanometres(),
                        rest.width().nanometres(),
                        rest.height().nanometres(),
                        writer.length(rest.width(), ShownRounding.DOWN),
                        writer.length(rest.height(), ShownRounding.DOWN)))
                .toList();
    }

    BillView bill(CuttingLayout layout) {
        CuttingBill bill = CuttingBill.of(layout, job);
        boolean bySheet = job.cloth().bySheet();
        return new BillView(
                writer.percent(bill.overLeast(layout).bigDecimalValue(4, RoundingMode.HALF_UP)),
                writer.length(layout.boltLength().minus(bill.least()), ShownRounding.NEAREST),
                bySheet ? layout.sheets() - layout.leastSheets() : null,
                bill.settings(),
                bill.cuts(),
                bill.curves().isZero() ? null : writer.longLength(bill.curves(), ShownRounding.NEAREST),
                job.terms().curvesAtOnce(),
                writer.time(bill.time()),
                writer.money(minor(bill.cloth())),
                writer.money(minor(bill.goesBack())),
                writer.money(minor(bill.total())),
                bySheet
                        ? 0
                        : bill.kept().stream().mapToLong(Offcuts.Left::count).sum(),
                largest(bill)
                        .map(extent -> new SidesView(
                                writer.length(extent.width(), ShownRounding.DOWN),
                                writer.length(extent.height(), ShownRounding.DOWN)))
                        .orElse(null));
    }

    private Optional<Extent> largest(CuttingBill bill) {
        return job.cloth().bySheet()
                ? Optional.empty()
                : bill.kept().stream().map(Offcuts.Left::extent).max(Comparator.comparing(Extent::area));
    }

    AimView aim(Sheet sheet) {
        CuttingBill bill = CuttingBill.of(sheet.layout(), job);
        return new AimView(
                sheet.aim(),
                sheet.chosen(),
                writer.longLength(bill.boltLength(), ShownRounding.UP),
                job.cloth().bySheet() ? sheet.layout().sheets() : null,
                writer.time(bill.time()),
                writer.money(minor(bill.total())),
                job.cloth().rolls().isEmpty() || bill.toBuy().isZero()
                        ? null
                        : writer.longLength(bill.toBuy(), ShownRounding.UP),
                largest(bill).map(this::size).orElse(null));
    }

    private String size(Extent extent) {
        return writer.text(new Value.OnTheShelf(extent.width())) + " × "
                + writer.text(new Value.OnTheShelf(extent.height()));
    }

    private static long minor(BigFraction exact) {
        return exact.bigDecimalValue(0, RoundingMode.HALF_UP).longValueExact();
    }
}
