package mardun.app.batch;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.app.batch.BatchViews.ShortBatch;
import mardun.app.batch.BatchViews.ShortLine;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.plan.Planned;
import mardun.app.show.ViewWriter;
import mardun.core.batch.Need;
import mardun.core.material.Amount;
import mardun.core.material.Claims;
import mardun.core.material.Claims.Claim;
import mardun.core.material.Part;
import mardun.core.planning.Missing;

/** What open batches need together of each material, where that is more than there is, and who goes short. */
record Shortages(ViewWriter writer, MaterialService materials) {

    /** A part of a material that several batches may want. */
    private record Wanted(MaterialId materialId, Part part) {}

    /**
     * A part of a material of which there is less than is wanted.
     *
     * @param need as the first of the batches has it
     * @param going the batches that go short, and by how much
     */
    record Shortage(MaterialId materialId, Part part, Need need, Amount needed, List<Claims.Share> going) {

        String name() {
            return need.supply().name() + (part == Part.WHOLE ? "" : ", " + part.words());
        }
    }

    /** The shortages of batches that are in the order in which they are due. */
    static List<Shortage> among(Map<Batch, Planned> open) {
        Map<Wanted, List<Claim>> claims = new LinkedHashMap<>();
        Map<Wanted, Need> first = new LinkedHashMap<>();
        open.forEach((batch, planned) -> planned.toCome().stream()
                .filter(need ->
                        planned.shelves().has(MaterialId.valueOf(need.supply().key())))
                .forEach(need -> {
                    Wanted wanted = new Wanted(MaterialId.valueOf(need.supply().key()), need.part());
                    first.putIfAbsent(wanted, need);
                    claims.computeIfAbsent(wanted, w -> new ArrayList<>())
                            .add(new Claim(
                                    batch.id().key(),
                                    need.amount(),
                                    planned.shelves().heldFor(batch.id(), wanted.materialId(), wanted.part())));
                }));
        List<Shortage> shortages = new ArrayList<>();
        claims.forEach((wanted, its) -> {
            Need need = first.get(wanted);
            List<Claims.Share> going = Claims.shares(its, need.stock().onHand()).stream()
                    .filter(share -> share.shortBy().isPositive())
                    .toList();
            if (!going.isEmpty()) {
                Amount needed =
                        its.stream().map(Claim::wanted).reduce(Amount::together).orElseThrow();
                shortages.add(new Shortage(wanted.materialId(), wanted.part(), need, needed, going));
            }
        });
        return shortages;
    }

    /** What a batch goes short of among others. */
    static Missing missing(BatchId id, List<Shortage> shortages) {
        List<Shortage> its = shortages.stream()
                .filter(one ->
                        one.going().stream().anyMatch(share -> share.batch().equals(id.key())))
                .toList();
        return new Missing(
                its.stream()
                        .filter(one -> one.need().supply().kind().leavesWhenCut())
                        .map(Shortage::name)
                        .toList(),
                its.stream()
                        .filter(one -> !one.need().supply().kind().leavesWhenCut())
                        .map(Shortage::name)
                        .toList());
    }

    /** The same as they are shown. */
    List<ShortLine> of(Map<Batch, Planned> open) {
        Map<String, String> names = new HashMap<>();
        open.forEach((batch, planned) -> names.put(batch.id().key(), name(planned)));
        List<Shortage> shortages = among(open);
        Map<MaterialId, String> colours =
                materials.colours(shortages.stream().map(Shortage::materialId).toList());
        return shortages.stream()
                .map(one -> new ShortLine(
                        one.materialId(),
                        one.name(),
                        one.need().supply().kind(),
                        colours.getOrDefault(one.materialId(), BatchReading.GREY),
                        writer.amount(one.need().stock().onHand()),
                        writer.amount(one.needed()),
                        writer.amount(one.needed().minus(one.need().stock().onHand())),
                        one.going().stream()
                                .map(share -> new ShortBatch(
                                        BatchId.valueOf(share.batch()),
                                        names.get(share.batch()),
                                        writer.amount(share.shortBy())))
                                .toList()))
                .toList();
    }

    private static String name(Planned planned) {
        String first = planned.first().design().name() + " " + planned.first().sizeWords();
        int more = planned.lines().size() - 1;
        return more == 0 ? first : first + " and " + more + " more";
    }
}
