package mardun.app.batch;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchViews.BatchSheet;
import mardun.app.batch.BatchViews.CautionView;
import mardun.app.batch.BatchViews.CostShare;
import mardun.app.batch.BatchViews.CutLine;
import mardun.app.batch.BatchViews.CutOffer;
import mardun.app.batch.BatchViews.LineSheet;
import mardun.app.batch.BatchViews.NeedLine;
import mardun.app.batch.BatchViews.ShareView;
import mardun.app.batch.BatchViews.StepLine;
import mardun.app.batch.BatchViews.TimesView;
import mardun.app.batch.BatchViews.TrimLine;
import mardun.app.design.SheetWriter;
import mardun.app.design.StandingPhotos.PhotoOf;
import mardun.app.design.TicketView;
import mardun.app.id.MaterialId;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.plan.PlannedPicture;
import mardun.app.settings.Settings;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.FindingView;
import mardun.app.show.Views.SidesView;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.CutList.PieceShare;
import mardun.core.batch.CutList.TrimShare;
import mardun.core.batch.Need;
import mardun.core.batch.Supply;
import mardun.core.batch.Workroom;
import mardun.core.caution.Caution;
import mardun.core.cutting.PieceKey;
import mardun.core.design.Finding;
import mardun.core.making.Operation;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.making.WorkTime;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.Shrinkage;
import mardun.core.measure.Extent;
import mardun.core.measure.ShownRounding;
import org.apache.commons.numbers.fraction.BigFraction;

/** Writes a batch's plan in the maker's units. */
public final class BatchSheetWriter {

    private final ViewWriter writer;
    private final SheetWriter sheets;
    private final OffcutWriter offcuts;
    private final Function<PhotoOf, Optional<String>> photos;

    /** @param photos of what is finished: their addresses */
    BatchSheetWriter(ViewWriter writer, Workroom workroom, Function<PhotoOf, Optional<String>> photos) {
        this.photos = photos;
        this.writer = writer;
        this.sheets = new SheetWriter(writer, workroom);
        this.offcuts = new OffcutWriter(writer);
    }

    private Optional<SidesView> cutAs(Extent finished, Supply cloth) {
        return Optional.of(cloth.shrinkage())
                .filter(Shrinkage::isAfter)
                .map(shrinkage -> shrinkage.toCut(finished))
                .map(extent -> new SidesView(
                        writer.length(extent.width(), ShownRounding.UP),
                        writer.length(extent.height(), ShownRounding.UP)));
    }

    BatchSheet write(Planned planned, List<Finding> licences, Map<MaterialId, String> colours, Settings settings) {
        BatchPlan plan = planned.plan();
        boolean several = planned.lines().size() > 1;
        return new BatchSheet(
                planned.mark(),
                plan.units(),
                planned.lines().stream()
                        .map(line -> line(line, planned, colours))
                        .toList(),
                plan.pieces().stream()
                        .map(piece -> new CutLine(
                                label(piece.key(), several),
                                piece.name(),
                                sheets.piece(piece.piece()),
                                piece.count(),
                                piece.shares().stream().map(PieceShare::line).toList(),
                                piece.from()
                                        .map(Supply::name)
                                        .orElseGet(() -> nothing(
                                                planned,
                                                piece.key().line(),
                                                piece.piece().piece().slot())),
                                piece.from()
                                        .flatMap(cloth -> cutAs(piece.piece().extent(), cloth))
                                        .orElse(null)))
                        .toList(),
                plan.trims().stream()
                        .map(trim -> new TrimLine(
                                sheets.trim(
                                        trim.trim(),
                                        plan.line(trim.key().line()).sized()),
                                trim.count(),
                                trim.shares().stream().map(TrimShare::line).toList(),
                                trim.from()
                                        .map(Supply::name)
                                        .orElseGet(() -> nothing(
                                                planned,
                                                trim.key().line(),
                                                trim.trim().trim().slot()))))
                        .toList(),
                plan.needs().stream().map(need -> need(need, planned)).toList(),
                offcuts.offers(planned),
                planned.lines().stream()
                        .flatMap(line -> cutBefore(line, planned, colours))
                        .toList(),
                plan.needs().stream()
                        .filter(need -> !planned.batch()
                                .isCut(MaterialId.valueOf(need.supply().key())))
                        .flatMap(need -> OffcutWriter.left(need, writer, settings))
                        .toList(),
                times(plan.time()),
                steps(plan.operations()),
                plan.cost().map(writer::money).orElse(null),
                plan.parts().stream()
                        .map(part -> new CostShare(part.name(), writer.money(part.cost())))
                        .toList(),
                plan.perHour().map(writer::money).orElse(null),
                Arrays.stream(Stage.values())
                        .flatMap(stage -> cautions(planned, stage))
                        .toList(),
                Stream.concat(plan.findings().stream(), licences.stream())
                        .map(finding -> inItsLine(finding, planned))
                        .toList());
    }

    private FindingView inItsLine(Finding finding, Planned planned) {
        FindingView view = writer.finding(finding);
        return new FindingView(
                view.severity(),
                view.check(),
                view.title(),
                view.place(),
                BatchRefusals.where(planned, finding) + view.sentence(),
                view.setAside());
    }

    private LineSheet line(PlannedLine line, Planned planned, Map<MaterialId, String> colours) {
        OuterCloth cloth = OuterCloth.of(planned, line);
        return new LineSheet(
                line.number(),
                line.design().name(),
                line.sizeWords(),
                line.chosen().started(),
                cloth.name(),
                cloth.materialId().map(colours::get).orElse(BatchReading.GREY),
                line.plan().sized().corner().map(sheets::corner).orElse(null),
                line.plan()
                        .sized()
                        .finished()
                        .map(finished -> sheets.finished(
                                finished, line.document().form().kind(), PlannedPicture.of(planned, line)))
                        .orElse(null),
                photos.apply(new PhotoOf(line.chosen().designId(), cloth.materialId()))
                        .orElse(null),
                planned.lines().size() == 1 ? ticket(planned, line).orElse(null) : null,
                line.cost().map(writer::money).orElse(null),
                line.plan().total().map(writer::money).orElse(null));
    }

    /** The ticket of a line, once every figure of it is known. */
    Optional<TicketView> ticket(Planned planned, PlannedLine line) {
        return sheets.ticket(
                planned.plan(), line.plan(), line.chosen().ownPriceMinor().isPresent());
    }

    /** A piece's letter, with its line where the batch has several. */
    public static String label(PieceKey key, boolean several) {
        return several ? key.toString() : key.letter();
    }

    private static String nothing(Planned planned, int line, String slot) {
        return planned.line(line).document().slots().stream()
                .filter(one -> one.key().equals(slot))
                .findFirst()
                .map(one -> "no " + one.label().toLowerCase() + " chosen")
                .orElse("");
    }

    private NeedLine need(Need need, Planned planned) {
        MaterialId id = MaterialId.valueOf(need.supply().key());
        Amount held = planned.batchId() == null || !planned.shelves().has(id)
                ? Amount.none(need.amount().counting())
                : planned.shelves().heldFor(planned.batchId(), id, need.part());
        Optional<Need> toCome = planned.toCome().stream()
                .filter(one -> one.supply().key().equals(need.supply().key()) && one.part() == need.part())
                .findFirst();
        List<Integer> lines = need.shares().lines();
        return new NeedLine(
                id,
                need.supply().slot(),
                need.part(),
                need.supply().name()
                        + (need.part() == Part.WHOLE ? "" : ", " + need.part().words()),
                need.supply().kind(),
                writer.amount(need.amount()),
                writer.amount(need.stock().onHand()),
                writer.amount(held),
                writer.amount(need.stock().heldForOthers()),
                toCome.filter(Need::isShort)
                        .map(one -> writer.amount(one.shortBy()))
                        .orElse(null),
                need.supply().kind().leavesWhenCut(),
                toCome.isEmpty(),
                lines.size() < 2
                        ? List.of()
                        : lines.stream()
                                .map(line -> new ShareView(line, writer.amount(share(need, line))))
                                .toList(),
                writer.working(need.working()));
    }

    /** What a line bears of an amount, to be shown: rounded to the nearest. */
    private static Amount share(Need need, int line) {
        return new Amount(
                need.amount().counting(),
                need.shares()
                        .of(line)
                        .multiply(BigFraction.of(need.amount().value()))
                        .bigDecimalValue(0, RoundingMode.HALF_UP)
                        .longValueExact());
    }

    /** What lies there cut and not sewn for a line. */
    private Stream<CutOffer> cutBefore(PlannedLine line, Planned planned, Map<MaterialId, String> colours) {
        return planned.unsewn().offers().getOrDefault(line.number(), List.of()).stream()
                .map(offer -> new CutOffer(
                        line.number(),
                        line.design().name() + ", " + line.sizeWords(),
                        MaterialId.valueOf(offer.cloth()),
                        planned.supplies().stream()
                                .filter(supply -> supply.key().equals(offer.cloth()))
                                .findFirst()
                                .map(Supply::name)
                                .orElse(""),
                        colours.getOrDefault(MaterialId.valueOf(offer.cloth()), BatchReading.GREY),
                        offer.pieces().stream()
                                .map(piece -> piece.piece().letter())
                                .collect(Collectors.joining(", ")),
                        offer.bags(),
                        line.plan().line().moved().of(offer.cloth()).came(),
                        writer.money(offer.minor())));
    }

    private TimesView times(WorkTime time) {
        return new TimesView(
                writer.time(time.oneByOne()),
                writer.time(time.asBatch()),
                writer.time(time.saved()),
                writer.time(time.sewing()),
                writer.time(time.settingUp()),
                writer.time(time.passive()));
    }

    List<StepLine> steps(List<Operation> operations) {
        List<StepLine> lines = new ArrayList<>();
        Map<Station, SetUp> on = new EnumMap<>(Station.class);
        for (Operation operation : operations) {
            Step step = operation.step();
            SetUp before = on.getOrDefault(step.station(), SetUp.NONE);
            lines.add(new StepLine(
                    step.name(),
                    operation.lines(),
                    operation.units(),
                    step.stage(),
                    step.station(),
                    step.setUp().changesFrom(before),
                    writer.time(operation.time()),
                    operation.text(Step::check),
                    operation.text(Step::caution),
                    operation.text(Step::note)));
            on.put(step.station(), step.setUp().after(before));
        }
        return lines;
    }

    /** The cautions for all of a batch, each once. */
    public static List<CautionView> cautions(Planned planned) {
        Map<String, CautionView> once = new LinkedHashMap<>();
        Arrays.stream(Stage.values())
                .flatMap(stage -> cautions(planned, stage))
                .forEach(caution -> once.putIfAbsent(caution.title(), caution));
        return List.copyOf(once.values());
    }

    /** The cautions for a stage of a batch, with what it is made of. */
    public static Stream<CautionView> cautions(Planned planned, Stage stage) {
        Caution.Here here = new Caution.Here(
                stage,
                planned.plan().operations().stream()
                        .flatMap(operation -> operation.parts().stream().map(Operation.Part::step))
                        .filter(step -> step.stage() == stage)
                        .toList(),
                planned.supplies().stream()
                        .flatMap(supply -> supply.ware().stream())
                        .collect(Collectors.toSet()),
                planned.supplies().stream()
                        .filter(supply -> supply.kind() == MaterialKind.FILLING_BY_WEIGHT
                                || supply.kind() == MaterialKind.FILLING_BY_VOLUME)
                        .map(Supply::name)
                        .toList(),
                planned.lines().stream().anyMatch(line -> line.design().forChildren()));
        return Caution.at(here).stream().map(caution -> new CautionView(stage, caution.title(), caution.text()));
    }
}
