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

/** What open batches need together of each material, where that is more than there is, and who goes short. */
record Shortages(ViewWriter writer, MaterialService materials) {

    /** A part of a material that several batches may want. */
    private record Wanted(MaterialId materialId, Part part) {}

    /** The shortages of batches that are in the order in which they are due. */
    List<ShortLine> of(Map<Batch, Planned> open) {
        Map<Wanted, List<Claim>> claims = new LinkedHashMap<>();
        Map<Wanted, Need> first = new LinkedHashMap<>();
        Map<String, String> names = new HashMap<>();
        open.forEach((batch, planned) -> planned.toCome().stream()
                .filter(need ->
                        planned.shelves().has(MaterialId.valueOf(need.supply().key())))
                .forEach(need -> {
                    Wanted wanted = new Wanted(MaterialId.valueOf(need.supply().key()), need.part());
                    String key = batch.id().key();
                    names.put(key, name(planned));
                    first.putIfAbsent(wanted, need);
                    claims.computeIfAbsent(wanted, w -> new ArrayList<>())
                            .add(new Claim(
                                    key,
                                    need.amount(),
                                    planned.shelves().heldFor(batch.id(), wanted.materialId(), wanted.part())));
                }));
        Map<MaterialId, String> colours = materials.colours(
                claims.keySet().stream().map(Wanted::materialId).toList());
        List<ShortLine> lines = new ArrayList<>();
        claims.forEach((wanted, its) -> line(wanted, its, first.get(wanted), names, colours, lines));
        return lines;
    }

    private static String name(Planned planned) {
        String first = planned.first().design().name() + " " + planned.first().sizeName();
        int more = planned.lines().size() - 1;
        return more == 0 ? first : first + " and " + more + " more";
    }

    private void line(
            Wanted wanted,
            List<Claim> claims,
            Need need,
            Map<String, String> names,
            Map<MaterialId, String> colours,
            List<ShortLine> lines) {
        Amount onHand = need.stock().onHand();
        List<Claims.Share> going = Claims.shares(claims, onHand).stream()
                .filter(share -> share.shortBy().isPositive())
                .toList();
        if (going.isEmpty()) {
            return;
        }
        Amount needed =
                claims.stream().map(Claim::wanted).reduce(Amount::together).orElseThrow();
        lines.add(new ShortLine(
                wanted.materialId(),
                need.supply().name()
                        + (wanted.part() == Part.WHOLE
                                ? ""
                                : ", " + wanted.part().words()),
                need.supply().kind(),
                colours.getOrDefault(wanted.materialId(), BatchReading.GREY),
                writer.amount(onHand),
                writer.amount(needed),
                writer.amount(needed.minus(onHand)),
                going.stream()
                        .map(share -> new ShortBatch(
                                BatchId.valueOf(share.batch()),
                                names.get(share.batch()),
                                writer.amount(share.shortBy())))
                        .toList()));
    }
}
