package mardun.app.material;

import java.time.Clock;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.material.MaterialView.MovementView;
import mardun.app.material.MaterialViewWriter.OnShelf;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.request.PutAway;
import mardun.app.settings.HoldsMoney;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.SearchWords;
import mardun.app.show.ViewWriter;
import mardun.core.material.Amount;
import mardun.core.material.ClosedZip;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Pageable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Materials: what they are, and what is on the shelf. */
@Service
public class MaterialService implements HoldsMoney {

    private final MaterialRepository materials;
    private final MaterialPriceRepository prices;
    private final StockMovementRepository movements;
    private final ReservationRepository reservations;
    private final StockLedger ledger;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    MaterialService(
            MaterialRepository materials,
            MaterialPriceRepository prices,
            StockMovementRepository movements,
            ReservationRepository reservations,
            StockLedger ledger,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.materials = materials;
        this.prices = prices;
        this.movements = movements;
        this.reservations = reservations;
        this.ledger = ledger;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    @Override
    public boolean holdsMoney() {
        return materials.count() > 0;
    }

    public boolean hasAny() {
        return materials.count() > 0;
    }

    /**
     * A page of materials, by kind and name.
     *
     * @param query words that stand in the name, the note, the fibre or the place; empty for all
     * @param lowOnly only those with less than the maker wants to have
     * @param putAway only those that are put away, or only those that aren't; empty for both
     */
    @Transactional(readOnly = true)
    public PageView<MaterialView> list(
            Optional<MaterialKind> kind, String query, boolean lowOnly, Optional<Boolean> putAway, int page, int size) {
        PageRequest request = PageRequest.of(page, Math.min(size, PageView.LARGEST));
        Page<Material> found = materials.search(
                kind.orElse(null),
                SearchWords.like(query),
                lowOnly,
                lowOnly ? lowIds() : List.of(),
                putAway.orElse(null),
                request);
        List<Long> ids = found.getContent().stream().map(Material::id).toList();
        Map<Long, OnShelf> shelves = shelves(ids);
        MaterialViewWriter views = views();
        return PageView.of(found, m -> views.view(m, shelves.getOrDefault(m.id(), OnShelf.NOTHING)));
    }

    /** The colours of some materials, by their ids. */
    @Transactional(readOnly = true)
    public Map<Long, String> colours(Collection<Long> ids) {
        return materials.findAllById(ids).stream().collect(Collectors.toMap(Material::id, Material::colour));
    }

    @Transactional(readOnly = true)
    public Map<Long, String> names(Collection<Long> ids) {
        return materials.findAllById(ids).stream().collect(Collectors.toMap(Material::id, Material::name));
    }

    /** All closed-end zips, by their materials' ids. */
    @Transactional(readOnly = true)
    public Map<Long, ClosedZip> zips() {
        Map<Long, ClosedZip> zips = new HashMap<>();
        materials
                .findByKind(MaterialKind.NOTION)
                .forEach(material -> material.facts().zip().ifPresent(zip -> zips.put(material.id(), zip)));
        return zips;
    }

    /** The materials of which there is less than the maker wants to have, or less than nothing, by kind and name. */
    private List<Long> lowIds() {
        Map<Long, OnShelf> shelves = shelves(movements.onHand(), List.of(), List.of());
        return materials.reorderPoints().stream()
                .filter(point -> shelves.getOrDefault(point.id(), OnShelf.NOTHING)
                        .isBelow(Optional.ofNullable(point.lowAtValue()), point.twoPart()))
                .map(ReorderPoint::id)
                .toList();
    }

    /** Some of the materials that are low, and how many they are together. */
    public record LowStock(List<MaterialView> some, int together) {}

    /** The materials of which there is less than the maker wants to have; at most so many of them in full. */
    @Transactional(readOnly = true)
    public LowStock low(int most) {
        List<Long> ids = lowIds();
        List<Long> some = ids.stream().limit(most).toList();
        Map<Long, OnShelf> shelves = shelves(some);
        MaterialViewWriter views = views();
        Map<Long, Material> found =
                materials.findAllById(some).stream().collect(Collectors.toMap(Material::id, m -> m));
        return new LowStock(
                some.stream()
                        .map(id -> views.view(found.get(id), shelves.getOrDefault(id, OnShelf.NOTHING)))
                        .toList(),
                ids.size());
    }

    /** Every material of a kind, by name. */
    @Transactional(readOnly = true)
    public List<MaterialView> ofKind(MaterialKind kind) {
        List<Material> found = materials.findByKind(kind);
        Map<Long, OnShelf> shelves = shelves(found.stream().map(Material::id).toList());
        MaterialViewWriter views = views();
        return found.stream()
                .map(m -> views.view(m, shelves.getOrDefault(m.id(), OnShelf.NOTHING)))
                .sorted(Comparator.comparing(MaterialView::name))
                .toList();
    }

    /** Every material, by kind and name. */
    @Transactional(readOnly = true)
    public List<MaterialView> all() {
        Map<Long, OnShelf> shelves = shelves(movements.onHand(), reservations.held(), movements.pieces());
        MaterialViewWriter views = views();
        return materials.findAllByOrderByKindAscNameAsc(Pageable.unpaged()).stream()
                .map(m -> views.view(m, shelves.getOrDefault(m.id(), OnShelf.NOTHING)))
                .toList();
    }

    @Transactional(readOnly = true)
    public MaterialView get(long id) {
        Material material = find(id);
        return views().view(material, shelves(List.of(id)).getOrDefault(id, OnShelf.NOTHING));
    }

    /** Enters a new material, with what is on the shelf as its first lot. */
    public MaterialView create(MaterialForm form) {
        return get(onceOnly.make(form.requestId(), "material", form, () -> {
            Settings current = settings.current();
            FieldReader fields = new FieldReader();
            Material.Entered entered = new MaterialReader(fields, current).read(form, form.kind(), Facts.NONE);
            Optional<Amount> onHand = form.onHand().isBlank()
                    ? Optional.empty()
                    : Optional.of(MaterialReader.amount(fields, "onHand", form.onHand(), form.kind(), current));
            refuseTakenName(fields, entered.name(), 0);
            fields.check();
            return enter(form.kind(), entered, onHand, Boolean.TRUE.equals(form.given()));
        }));
    }

    /**
     * Enters a new material inside the caller's transaction.
     *
     * @param given what is on the shelf was given
     */
    long enter(MaterialKind kind, Material.Entered entered, Optional<Amount> onHand, boolean given) {
        Material material = new Material(kind, clock.instant());
        material.enter(entered);
        long id = materials.save(material).id();
        prices.save(new MaterialPrice(material, clock.instant()));
        onHand.filter(Amount::isPositive).ifPresent(amount -> ledger.open(material, amount, given, "first entered"));
        return id;
    }

    @Transactional
    public MaterialView change(long id, MaterialForm form) {
        Material material = find(id);
        ChangedMeanwhileException.check("“" + material.name() + "”", form.version(), material.version());
        FieldReader fields = new FieldReader();
        Material.Entered entered =
                new MaterialReader(fields, settings.current()).read(form, material.kind(), material.facts());
        refuseTakenName(fields, entered.name(), id);
        refuseOtherParts(fields, material, entered.facts());
        fields.check();
        enter(material, entered);
        materials.flush();
        return get(id);
    }

    /** Puts a material away, or takes it back. */
    @Transactional
    public MaterialView putAway(long id, PutAway form) {
        Material material = find(id);
        ChangedMeanwhileException.check("“" + material.name() + "”", form.version(), material.version());
        material.putAway(form.putAway());
        materials.flush();
        return get(id);
    }

    /** Changes a material inside the caller's transaction, and notes its price if that is new. */
    void enter(Material material, Material.Entered entered) {
        boolean samePrice =
                material.hasPrice(entered.priceMinor(), entered.pricePer().value());
        material.enter(entered);
        if (!samePrice) {
            prices.save(new MaterialPrice(material, clock.instant()));
        }
    }

    private void refuseOtherParts(FieldReader fields, Material material, Facts facts) {
        boolean other = facts.twoPart() != material.facts().twoPart();
        if (other
                && !movements
                        .findByMaterialIdOrderByMovedAtDescIdDesc(material.id(), PageRequest.of(0, 1))
                        .isEmpty()) {
            fields.refuse(
                    "facts.twoPart",
                    facts.twoPart() ? "in two parts" : "whole",
                    "What is on the shelf was counted " + (facts.twoPart() ? "as sets" : "by halves")
                            + ". Enter a new material for the other way of counting.");
        }
    }

    @Transactional(readOnly = true)
    public PageView<MovementView> movements(long id, int page, int size) {
        Material material = find(id);
        ViewWriter writer = settings.current().writer();
        return PageView.of(
                movements.findByMaterialIdOrderByMovedAtDescIdDesc(
                        id, PageRequest.of(page, Math.min(size, PageView.LARGEST))),
                m -> new MovementView(
                        m.id(),
                        m.kind(),
                        m.part(),
                        writer.amount(
                                m.isOfPieces()
                                        ? Amount.pieces(m.changeValue())
                                        : new Amount(material.kind().counting(), m.changeValue())),
                        m.reason(),
                        m.movedAt(),
                        m.batchId().orElse(null),
                        m.lotId().orElse(null)));
    }

    private Material find(long id) {
        return materials
                .findById(id)
                .orElseThrow(() -> RefusedException.missing("There is no such material, or no longer."));
    }

    private MaterialViewWriter views() {
        return new MaterialViewWriter(settings.current().writer());
    }

    private Map<Long, OnShelf> shelves(Collection<Long> ids) {
        return ids.isEmpty() ? Map.of() : shelves(movements.onHand(ids), reservations.held(ids), movements.pieces(ids));
    }

    private static Map<Long, OnShelf> shelves(List<OnHand> onHand, List<OnHand> held, List<OnHand> pieces) {
        Map<Long, Map<Part, Long>> there = byMaterial(onHand);
        Map<Long, Map<Part, Long>> reserved = byMaterial(held);
        Map<Long, Long> counts =
                pieces.stream().collect(Collectors.toMap(OnHand::materialId, OnHand::value, Long::sum));
        Map<Long, OnShelf> shelves = new HashMap<>();
        for (Collection<Long> ids : List.of(there.keySet(), reserved.keySet(), counts.keySet())) {
            for (Long id : ids) {
                shelves.computeIfAbsent(
                        id,
                        material -> new OnShelf(
                                there.getOrDefault(material, Map.of()),
                                reserved.getOrDefault(material, Map.of()),
                                counts.getOrDefault(material, 0L)));
            }
        }
        return shelves;
    }

    private static Map<Long, Map<Part, Long>> byMaterial(List<OnHand> sums) {
        Map<Long, Map<Part, Long>> byMaterial = new HashMap<>();
        sums.forEach(sum -> byMaterial
                .computeIfAbsent(sum.materialId(), id -> new EnumMap<>(Part.class))
                .put(sum.part(), sum.value()));
        return byMaterial;
    }

    private void refuseTakenName(FieldReader fields, String name, long ownId) {
        materials
                .findByNameIgnoreCase(name)
                .filter(other -> other.id() != ownId)
                .ifPresent(other -> fields.refuse(
                        "name", name, "There is a material called “" + other.name() + "” already. Type another name."));
    }
}
