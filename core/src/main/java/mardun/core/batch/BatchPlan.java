package mardun.core.batch;

import java.util.List;
import java.util.Optional;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.batch.CutList.TrimLine;
import mardun.core.costing.UnitCost;
import mardun.core.design.Finding;
import mardun.core.design.SizedDesign;
import mardun.core.making.Operation;
import mardun.core.making.WorkTime;
import mardun.core.pricing.Earning;
import mardun.core.pricing.UnitPricing;
import org.joda.money.Money;

/**
 * All that a batch asks for and gives.
 *
 * @param lines what follows for each line
 * @param pieces what is cut, for all lines together
 * @param needs each material once, for all lines together
 * @param operations what is done, each once for all lines that have it
 * @param cost what all lines cost together; empty while a material is missing
 * @param parts what that is made of, adding up to it; none while a material is missing
 */
public record BatchPlan(
        List<LinePlan> lines,
        List<PieceLine> pieces,
        List<TrimLine> trims,
        List<Need> needs,
        List<Operation> operations,
        WorkTime time,
        Optional<Money> cost,
        List<CostPart> parts,
        List<Finding> findings) {

    /** What a material, the labour or the overheads of the whole batch cost. */
    public record CostPart(String name, Money cost) {}

    /**
     * What a line of the batch gives.
     *
     * @param time what the line bears of the batch's hands-on time
     * @param cost of one bag; empty while a material is missing
     * @param total of all its bags; those of all lines add up to the batch's to the cent
     * @param pricing empty while a material is missing, and where none came out well
     */
    public record LinePlan(
            BatchLine line,
            SizedDesign sized,
            WorkTime time,
            Optional<UnitCost> cost,
            Optional<Money> total,
            Optional<UnitPricing> pricing) {

        public int number() {
            return line.number();
        }

        public int units() {
            return line.units();
        }
    }

    public BatchPlan {
        lines = List.copyOf(lines);
        pieces = List.copyOf(pieces);
        trims = List.copyOf(trims);
        needs = List.copyOf(needs);
        operations = List.copyOf(operations);
        parts = List.copyOf(parts);
        findings = List.copyOf(findings);
    }

    /**
     * A plan of which nothing could be worked out, with the reason.
     *
     * @param lines as far as they are known
     */
    public static BatchPlan impossible(List<LinePlan> lines, WorkTime time, Finding why) {
        return new BatchPlan(
                lines, List.of(), List.of(), List.of(), List.of(), time, Optional.empty(), List.of(), List.of(why));
    }

    public boolean isComplete() {
        return findings.stream().noneMatch(Finding::isRefused);
    }

    /** How many bags are started. */
    public int units() {
        return lines.stream().mapToInt(LinePlan::units).sum();
    }

    /**
     * The plan of a line.
     *
     * @throws java.util.NoSuchElementException if the batch has no such line
     */
    public LinePlan line(int number) {
        return lines.stream()
                .filter(line -> line.number() == number)
                .findFirst()
                .orElseThrow();
    }

    /** What an hour of hands-on work earns, over all lines; empty where a line isn't priced, or there is no work. */
    public Optional<Money> perHour() {
        return Earning.together(lines.stream()
                .map(line -> new Earning(
                        line.pricing().flatMap(UnitPricing::perHour).map(figure -> figure.value()),
                        line.time().asBatch().value()))
                .toList());
    }

    /** Whether a finding is about what fills a slot, and not about the design or the number. */
    public static boolean isOfMaterials(Finding finding) {
        return finding.place().startsWith("materials.") || finding.place().contains(".slots.");
    }

    /** The pieces that are cut from a cloth. */
    public List<PieceLine> piecesFrom(Supply cloth) {
        return pieces.stream().filter(piece -> piece.isFrom(cloth)).toList();
    }
}
