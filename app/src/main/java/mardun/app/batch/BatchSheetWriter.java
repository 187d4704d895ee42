package mardun.app.batch;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchPlans.Planned;
import mardun.app.batch.BatchViews.BatchSheet;
import mardun.app.batch.BatchViews.CautionView;
import mardun.app.batch.BatchViews.CutLine;
import mardun.app.batch.BatchViews.NeedLine;
import mardun.app.batch.BatchViews.StepLine;
import mardun.app.batch.BatchViews.TimesView;
import mardun.app.batch.BatchViews.TrimLine;
import mardun.app.batch.CuttingViews.SidesView;
import mardun.app.design.DesignDocument;
import mardun.app.design.SheetWriter;
import mardun.app.settings.Settings;
import mardun.app.show.ViewWriter;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlan.Need;
import mardun.core.batch.Supply;
import mardun.core.batch.Workroom;
import mardun.core.caution.Caution;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Step;
import mardun.core.making.WorkTime;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.Shrinkage;
import mardun.core.measure.Extent;
import mardun.core.measure.ShownRounding;

/** Writes a batch's plan in the maker's units. */
final class BatchSheetWriter {

    private final ViewWriter writer;
    private final SheetWriter sheets;
    private final OffcutWriter offcuts;

    BatchSheetWriter(ViewWriter writer, Workroom workroom) {
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

    BatchSheet write(Planned planned, boolean ownPrice, Optional<Finding> licence, Settings settings) {
        BatchPlan plan = planned.plan();
        Design design = planned.design();
        DesignDocument document = planned.document();
        Map<String, String> names = document.slots().stream()
                .collect(Collectors.toMap(
                        DesignDocument.SlotRow::key,
                        slot -> "no " + slot.label().toLowerCase() + " chosen"));
        planned.supplies().forEach(supply -> names.put(supply.slot(), supply.name()));
        return new BatchSheet(
                planned.mark(),
                design.name(),
                plan.sized().size(),
                plan.units(),
                plan.pieces().stream()
                        .map(line -> new CutLine(
                                sheets.piece(line.piece()),
                                line.count(),
                                names.getOrDefault(line.piece().piece().slot(), ""),
                                planned.supplies().stream()
                                        .filter(supply -> supply.slot()
                                                .equals(line.piece().piece().slot()))
                                        .findFirst()
                                        .flatMap(supply -> cutAs(line.piece().extent(), supply))
                                        .orElse(null)))
                        .toList(),
                plan.trims().stream()
                        .map(line -> new TrimLine(
                                sheets.trim(line.trim(), plan.sized()),
                                line.count(),
                                names.getOrDefault(line.trim().trim().slot(), "")))
                        .toList(),
                plan.needs().stream().map(need -> need(need, planned)).toList(),
                offcuts.offers(planned),
                plan.needs().stream()
                        .flatMap(need -> OffcutWriter.left(need, writer, settings))
                        .toList(),
                times(plan.time()),
                steps(design.steps(), plan.units()),
                plan.sized().corner().map(sheets::corner).orElse(null),
                plan.sized()
                        .finished()
                        .map(finished ->
                                sheets.finished(finished, document.form().kind()))
                        .orElse(null),
                sheets.ticket(plan, ownPrice).orElse(null),
                Arrays.stream(Stage.values())
                        .flatMap(stage -> cautions(planned, stage))
                        .toList(),
                Stream.concat(plan.findings().stream(), licence.stream())
                        .map(writer::finding)
                        .toList());
    }

    private NeedLine need(Need need, Planned planned) {
        long id = Long.parseLong(need.supply().key());
        Amount held = planned.batchId() == null || !planned.shelves().has(id)
                ? Amount.none(need.amount().counting())
                : planned.shelves().heldFor(planned.batchId(), id, need.part());
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
                need.isShort() ? writer.amount(need.shortBy()) : null,
                writer.working(need.working()));
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

    List<StepLine> steps(List<Step> steps, int units) {
        List<StepLine> lines = new ArrayList<>();
        SetUp before = SetUp.NONE;
        for (Step step : steps) {
            lines.add(new StepLine(
                    step.name(),
                    step.stage(),
                    step.station(),
                    step.setUp().changesFrom(before),
                    writer.time(step.perUnit().multipliedBy(units).plus(step.perBatch())),
                    step.check(),
                    step.caution(),
                    step.note()));
            before = step.setUp().after(before);
        }
        return lines;
    }

    /** The cautions for a stage of a batch, with what it is made of. */
    static Stream<CautionView> cautions(Planned planned, Stage stage) {
        Caution.Here here = new Caution.Here(
                stage,
                planned.design().steps().stream()
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
                planned.design().forChildren());
        return Caution.at(here).stream().map(caution -> new CautionView(stage, caution.title(), caution.text()));
    }
}
