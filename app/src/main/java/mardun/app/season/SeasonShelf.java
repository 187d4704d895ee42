package mardun.app.season;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.StockShelves;
import mardun.app.season.SeasonKinds.SeasonKind;
import mardun.core.batch.Need;
import mardun.core.batch.Supply;
import mardun.core.material.Amount;
import mardun.core.material.Counting;
import mardun.core.material.Part;
import mardun.core.season.SeasonLimits;

/** What bags of a season take of materials, and what of those is on the shelf. */
final class SeasonShelf {

    private static final double NANOMETRES_PER_METRE = 1e9;

    /** A material, counted in metres or in pieces. */
    record Material(String name, boolean isByLength) {}

    /** The key of what a licence allows of a design, among the materials: each bag of it takes one. */
    static String licenceOf(DesignId design) {
        return "licence " + design.key();
    }

    /** The key of a part of a material. */
    static String nameOf(Need need) {
        return nameOf(MaterialId.valueOf(need.supply().key()), need.part());
    }

    private static String nameOf(MaterialId id, Part part) {
        return id.key() + " " + part;
    }

    private final Map<MaterialId, Supply> supplies = new HashMap<>();
    private final Map<String, SeasonLimits.Cloth> shelf = new TreeMap<>();
    private final Map<String, Material> materials = new HashMap<>();

    /** Reads the shelf of all that some kinds of bags take. */
    SeasonShelf(Iterable<SeasonKind> kinds, StockShelves shelves) {
        Set<MaterialId> used = new HashSet<>();
        kinds.forEach(kind -> {
            kind.size()
                    .needs()
                    .forEach(need -> used.add(MaterialId.valueOf(need.supply().key())));
            kind.clothId().ifPresent(used::add);
        });
        StockShelves.Shelves read = shelves.read(used);
        used.forEach(id -> read.supply("", id, null, List.of()).ifPresent(supply -> supplies.put(id, supply)));
    }

    /** What one takes of each material, in metres or pieces; what of it is on the shelf counts among the limits from then on. */
    Map<String, Double> takes(SeasonKind kind) {
        Map<String, Double> takes = new TreeMap<>();
        for (Need need : kind.size().needs()) {
            MaterialId usual = MaterialId.valueOf(need.supply().key());
            boolean isOuter = kind.isInOtherCloth()
                    && kind.size().clothId().filter(usual::equals).isPresent();
            MaterialId id = isOuter ? kind.clothId().orElse(usual) : usual;
            Supply supply = supplies.getOrDefault(id, need.supply());
            String name = nameOf(id, need.part());
            Amount there = supply.stock(need.part()).free();
            takes.merge(name, units(need.amount()) / kind.size().units(), Double::sum);
            materials.put(name, new Material(supply.name(), there.counting() == Counting.LENGTH));
            shelf.computeIfAbsent(name, key -> {
                double price = priceOfOne(supply, there);
                return new SeasonLimits.Cloth(Math.max(0, units(there)), OptionalDouble.of(price), price);
            });
        }
        return takes;
    }

    /** So many more bags of a design may be made: each of them takes one of those. */
    void license(SeasonKind kind, long most, Map<String, Double> takes) {
        String licence = licenceOf(kind.size().designId());
        takes.put(licence, 1.0);
        materials.put(licence, new Material("licence of " + kind.size().designName(), false));
        shelf.put(licence, new SeasonLimits.Cloth(most, OptionalDouble.empty(), 0));
    }

    /** What is there, by the same keys as what bags take. */
    Map<String, SeasonLimits.Cloth> limits() {
        return shelf;
    }

    Map<String, Material> materials() {
        return materials;
    }

    /** An amount in metres where it is a length, else as it is counted. */
    static double units(Amount amount) {
        return amount.counting() == Counting.LENGTH ? amount.value() / NANOMETRES_PER_METRE : amount.value();
    }

    private static double priceOfOne(Supply supply, Amount like) {
        boolean isLength = like.counting() == Counting.LENGTH;
        Amount one = new Amount(like.counting(), isLength ? (long) NANOMETRES_PER_METRE : 1);
        return supply.price().cost(one).doubleValue() / SeasonReading.MINOR;
    }
}
