package mardun.app.design;

import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.log.Estimates;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Shelves;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.batch.Supply;
import mardun.core.design.Design;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What one bag of each size of a design takes, in the materials that the design names, with the times as they are known now. */
@Service
public class DesignCosts {

    /**
     * Tables from which no cost follows, nor the plan of a batch: they are written where bags move, are packed, ticketed or sold, and where
     * something is noted, and nothing of that needs be worked out anew then.
     */
    public static final Set<String> NO_COST_FOLLOWS = Set.of(
            "finished_goods",
            "goods_movement",
            "goods_place",
            "packing_line",
            "fair",
            "fair_check",
            "stall_event",
            "sale",
            "sale_line",
            "handled_request",
            "note",
            "order_note",
            "ticket_run",
            "ticket_line",
            "printed_label",
            "season_wish",
            "remark_away");

    private final DesignRepository repository;
    private final DesignService designs;
    private final UnitCosts costs;
    private final StockShelves shelves;
    private final Estimates estimates;
    private final SettingsService settings;
    private final Remembered<String, List<CostedSize>> allCosted;

    DesignCosts(
            DesignRepository repository,
            DesignService designs,
            UnitCosts costs,
            StockShelves shelves,
            Estimates estimates,
            SettingsService settings,
            Changes changes) {
        this.repository = repository;
        this.designs = designs;
        this.costs = costs;
        this.shelves = shelves;
        this.estimates = estimates;
        this.settings = settings;
        this.allCosted = Remembered.exceptOf(changes, NO_COST_FOLLOWS);
    }

    /** A design as it is now. */
    private record AsItIs(DesignDocument document, Design design) {}

    private AsItIs asItIs(DesignEntity entity) {
        return new AsItIs(
                designs.revision(entity.id(), entity.revision()).document(),
                designs.design(entity.id(), entity.revision()));
    }

    private DesignEntity found(DesignId id) {
        return repository
                .findById(id.value())
                .orElseThrow(() -> RefusedException.missing("There is no such design, or no longer."));
    }

    /** What one bag of each size of each design that isn't put away takes, as each is usually made. */
    @Transactional(readOnly = true)
    public List<CostedSize> costed() {
        return allCosted.get("all", all -> costAll());
    }

    private List<CostedSize> costAll() {
        Settings current = settings.current();
        List<DesignEntity> all = repository.findAll().stream()
                .filter(entity -> !entity.isPutAway())
                .sorted(Comparator.comparing(entity -> entity.name().toLowerCase(Locale.ROOT)))
                .toList();
        Map<DesignId, AsItIs> asTheyAre = all.stream().collect(Collectors.toMap(DesignEntity::id, this::asItIs));
        Shelves read = shelves.read(asTheyAre.values().stream()
                .flatMap(one -> DesignService.materialsOf(one.document()).stream())
                .distinct()
                .toList());
        return all.stream()
                .flatMap(entity -> costed(
                        entity,
                        asTheyAre.get(entity.id()),
                        new Made(asTheyAre.get(entity.id()).document().usualUnits(), Optional.empty(), size -> true),
                        read,
                        current))
                .toList();
    }

    /**
     * A size of a design in another outer cloth than its design names.
     */
    public record InCloth(DesignId design, String sizeKey, MaterialId cloth) {}

    /**
     * What one bag of some sizes takes in other outer cloths, the rest of it being as usual; those of which the design is put away or has
     * no such size, or that name no cloth on the shelf, are left out.
     */
    @Transactional(readOnly = true)
    public List<CostedSize> costedIn(Collection<InCloth> others) {
        Settings current = settings.current();
        Map<DesignId, List<InCloth>> byDesign = others.stream().collect(Collectors.groupingBy(InCloth::design));
        Map<DesignEntity, AsItIs> found = new LinkedHashMap<>();
        repository
                .findAllById(byDesign.keySet().stream().map(DesignId::value).toList())
                .forEach(entity -> {
                    if (!entity.isPutAway()) {
                        found.put(entity, asItIs(entity));
                    }
                });
        Shelves read = shelves.read(Stream.concat(
                        found.values().stream().flatMap(one -> DesignService.materialsOf(one.document()).stream()),
                        others.stream().map(InCloth::cloth))
                .distinct()
                .toList());
        return found.entrySet().stream()
                .flatMap(one -> byDesign.get(one.getKey().id()).stream()
                        .flatMap(other -> costed(
                                        one.getKey(),
                                        one.getValue(),
                                        new Made(
                                                one.getValue().document().usualUnits(),
                                                Optional.of(other.cloth()),
                                                other.sizeKey()::equals),
                                        read,
                                        current)
                                .filter(size -> size.clothId().equals(Optional.of(other.cloth())))))
                .toList();
    }

    /**
     * The same of one design, for a batch of so many.
     *
     * @param cloth its outer cloth; empty for the one that the design names
     */
    @Transactional(readOnly = true)
    public List<CostedSize> costed(DesignId id, int units, Optional<MaterialId> cloth) {
        DesignEntity entity = found(id);
        AsItIs its = asItIs(entity);
        return costed(
                        entity,
                        its,
                        new Made(units, cloth, size -> true),
                        shelves.read(materials(its, cloth)),
                        settings.current())
                .toList();
    }

    private static List<MaterialId> materials(AsItIs its, Optional<MaterialId> cloth) {
        return Stream.concat(DesignService.materialsOf(its.document()).stream(), cloth.stream())
                .distinct()
                .toList();
    }

    /** The same, with what was given valued the other way than the maker usually does. */
    @Transactional(readOnly = true)
    public List<CostedSize> costedWithGivenOtherwise(DesignId id, int units, Optional<MaterialId> cloth) {
        DesignEntity entity = found(id);
        AsItIs its = asItIs(entity);
        return costed(
                        entity,
                        its,
                        new Made(units, cloth, size -> true),
                        shelves.readWithGivenOtherwise(materials(its, cloth)),
                        settings.current())
                .toList();
    }

    /**
     * How bags are made.
     *
     * @param units for a batch of how many
     * @param cloth their outer cloth; empty for the usual one
     * @param sizes which sizes, by their keys
     */
    private record Made(int units, Optional<MaterialId> cloth, Predicate<String> sizes) {}

    private Stream<CostedSize> costed(DesignEntity entity, AsItIs its, Made made, Shelves shelves, Settings current) {
        DesignDocument document = its.document();
        Design design = estimates.timed(entity.id(), its.design());
        String outer = design.outerSlot().orElse("");
        List<Supply> supplies = DesignService.supplies(
                document,
                shelves,
                made.cloth().map(cloth -> Map.of(outer, cloth)).orElse(Map.of()));
        Optional<Supply> cloth =
                supplies.stream().filter(supply -> supply.slot().equals(outer)).findFirst();
        IntStream sizes = IntStream.range(0, design.sizes().size())
                .filter(size ->
                        made.sizes().test(document.sizeKey(design.sizes().get(size))));
        return sizes.mapToObj(size -> {
            UnitCosts.Given given = costs.of(design, size, made.units(), supplies, current.workroom());
            String name = design.sizes().get(size);
            return new CostedSize(
                    entity.id(),
                    entity.name(),
                    document.sort(),
                    document.sizeKey(name),
                    design.sizes().size() == 1 ? "" : name,
                    cloth.map(Supply::name).orElse(""),
                    made.units(),
                    given.time(),
                    given.cost(),
                    name,
                    outer,
                    cloth.map(Supply::key).map(MaterialId::valueOf),
                    supplies.stream()
                            .collect(Collectors.toMap(
                                    Supply::slot, supply -> MaterialId.valueOf(supply.key()), (one, other) -> one)),
                    given.needs(),
                    design.source());
        });
    }
}
