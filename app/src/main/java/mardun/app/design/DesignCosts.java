package mardun.app.design;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
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
import mardun.core.design.Piece;
import mardun.core.design.Role;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What one bag of each size of a design takes, in the materials that the design names, with the times as they are known now. */
@Service
public class DesignCosts {

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
        this.allCosted = new Remembered<>(changes);
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
                        asTheyAre.get(entity.id()).document().usualUnits(),
                        read,
                        current))
                .toList();
    }

    /** The same of one design, for a batch of so many. */
    @Transactional(readOnly = true)
    public List<CostedSize> costed(DesignId id, int units) {
        DesignEntity entity = found(id);
        AsItIs its = asItIs(entity);
        return costed(entity, its, units, shelves.read(DesignService.materialsOf(its.document())), settings.current())
                .toList();
    }

    /** The same, with what was given valued the other way than the maker usually does. */
    @Transactional(readOnly = true)
    public List<CostedSize> costedWithGivenOtherwise(DesignId id, int units) {
        DesignEntity entity = found(id);
        AsItIs its = asItIs(entity);
        return costed(
                        entity,
                        its,
                        units,
                        shelves.readWithGivenOtherwise(DesignService.materialsOf(its.document())),
                        settings.current())
                .toList();
    }

    private Stream<CostedSize> costed(DesignEntity entity, AsItIs its, int units, Shelves shelves, Settings current) {
        DesignDocument document = its.document();
        Design design = estimates.timed(entity.id(), its.design());
        List<Supply> supplies = DesignService.supplies(document, shelves);
        String outer = design.pieces().stream()
                .filter(piece -> piece.role() == Role.OUTER)
                .findFirst()
                .map(Piece::slot)
                .orElse("");
        Optional<Supply> cloth =
                supplies.stream().filter(supply -> supply.slot().equals(outer)).findFirst();
        return IntStream.range(0, design.sizes().size()).mapToObj(size -> {
            UnitCosts.Given given = costs.of(design, size, units, supplies, current.workroom());
            String name = design.sizes().get(size);
            return new CostedSize(
                    entity.id(),
                    entity.name(),
                    document.sort(),
                    document.sizeKey(name),
                    design.sizes().size() == 1 ? "" : name,
                    cloth.map(Supply::name).orElse(""),
                    units,
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
