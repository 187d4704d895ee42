package mardun.core.batch;

import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.core.batch.BatchPlan.LinePlan;
import mardun.core.design.SizedPiece;
import mardun.core.making.Operation;
import mardun.core.making.SetUpSpread;
import mardun.core.making.Stage;
import mardun.core.money.Apportionment;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * What cut pieces are worth that leave their batch before they are sewn: what their cloth cost. The hands-on time of their cutting stays
 * with the batch when they go onto the shelf, and goes with bags that become a batch of their own.
 */
public final class CutValue {

    private CutValue() {}

    /**
     * What the pieces of one cloth for some bags of a line cost, in minor units: of what the line bears of that cloth, with what came and
     * went before, the part of so many of its bags.
     *
     * @param bags from 1 to those of the line
     */
    public static long ofCloth(BatchPlan plan, int line, String cloth, int bags) {
        LinePlan its = plan.line(line);
        BigFraction borne = plan.needs().stream()
                .filter(need -> need.supply().key().equals(cloth))
                .map(need -> need.cost(line))
                .reduce(BigFraction.ZERO, BigFraction::add)
                .add(BigFraction.of(its.line().moved().of(cloth).minor()));
        return Apportionment.rounded(borne.multiply(BigFraction.of(bags, its.units())));
    }

    /**
     * The same, piece by piece, by their area; together they are just that.
     *
     * @param pieces of one bag, from one cloth
     * @param minor what those of all bags cost
     */
    public static Map<SizedPiece, Long> byPiece(List<SizedPiece> pieces, long minor) {
        List<BigFraction> areas = pieces.stream()
                .map(piece -> BigFraction.of(piece.extent().area().squareNanometres())
                        .multiply(BigFraction.of(piece.count())))
                .toList();
        BigFraction all = areas.stream().reduce(BigFraction.ZERO, BigFraction::add);
        List<Long> parts = Apportionment.of(
                areas.stream()
                        .map(area -> area.divide(all).multiply(BigFraction.of(minor)))
                        .toList(),
                minor);
        Map<SizedPiece, Long> byPiece = new LinkedHashMap<>();
        for (int i = 0; i < pieces.size(); i++) {
            byPiece.put(pieces.get(i), parts.get(i));
        }
        return byPiece;
    }

    /** The hands-on time that the cutting of some bags of a line took, with their share of what was set up once for it. */
    public static Duration cuttingTime(BatchPlan plan, int line, int bags, SetUpSpread spread) {
        Duration time = Duration.ZERO;
        for (Operation operation : plan.operations()) {
            if (operation.step().stage() != Stage.CUT) {
                continue;
            }
            for (Operation.Part part : operation.parts()) {
                if (part.line() == line) {
                    time = time.plus(part.step().perUnit().multipliedBy(bags))
                            .plus(operation
                                    .shares(spread)
                                    .get(line)
                                    .multipliedBy(bags)
                                    .dividedBy(part.units()));
                }
            }
        }
        return time;
    }
}
