package mardun.app.material;

import java.time.Clock;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.id.MaterialId;
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
import mardun.core.material.Ware;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Materials: what they are, and what is on the shelf. */
@Service
public class MaterialService implements HoldsMoney {

    private final MaterialRepository materials;
    private final MaterialPriceRepository prices;
    private final MaterialList list;
    private final StockMovementRepository movements;
    private final KnownMovements known;
    private final ReservationRepository reservations;
    private final StockLedger ledger;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    MaterialService(
            MaterialRepository materials,
            MaterialPriceRepository prices,
            MaterialList list,
            StockMovementRepository movements,
            KnownMovements known,
            ReservationRepository reservations,
            StockLedger ledger,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.materials = materials;
        this.prices = prices;
        this.list = list;
        this.movements = movements;
        this.known = known;
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
                lowOnly ? MaterialId.values(lowIds()) : List.of(),
                putAway.orElse(null),
                request);
        List<MaterialId> ids = found.getContent().stream().map(Material::id).toList();
        Map<MaterialId, OnShelf> shelves = shelves(ids);
        MaterialViewWriter views = views();
        return PageView.of(found, m -> views.view(m, shelves.getOrDefault(m.id(), OnShelf.NOTHING)));
    }

    /** The colours of some materials, by their ids. */
    @Transactional(readOnly = true)
    public Map<MaterialId, String> colours(Collection<MaterialId> ids) {
        return materials.findAllById(MaterialId.values(ids)).stream()
                .collect(Collectors.toMap(Material::id, Material::colour));
    }

    @Transactional(readOnly = true)
    public Map<MaterialId, String> names(Collection<MaterialId> ids) {
        return materials.findAllById(MaterialId.values(ids)).stream()
                .collect(Collectors.toMap(Material::id, Material::name));
    }

    /**
     * What a ticket tells of a material.
     *
     * @param ware what a trim or a notion is; empty where nobody said
     */
    public record ForTickets(MaterialKind kind, String name, String fibre, String care, Optional<Ware> ware) {}

    /** What tickets tell of some materials, by their ids. */
    @Transactional(readOnly = true)
    public Map<MaterialId, ForTickets> forTickets(Collection<MaterialId> ids) {
        return materials.findAllById(MaterialId.values(ids)).stream()
                .collect(Collectors.toMap(
                        Material::id,
                        one -> new ForTickets(
                                one.kind(),
                                one.name(),
                                one.facts().fibre(),
                                one.facts().care(),
                                Optional.ofNullable(one.facts().ware()))));
    }

    /** All closed-end zips, by their materials' ids. */
    @Transactional(readOnly = true)
    public Map<MaterialId, ClosedZip> zips() {
        Map<MaterialId, ClosedZip> zips = new HashMap<>();
        list.ofKind(MaterialKind.NOTION)
                .forEach(material -> material.facts().zip().ifPresent(zip -> zips.put(material.id(), zip)));
        return zips;
    }

    /** The materials of which there is less than the maker wants to have, or less than nothing, by kind and name. */
    private List<MaterialId> lowIds() {
        Map<MaterialId, OnShelf> shelves = shelves(known.sums().measured(), List.of(), List.of());
        return list.all().stream()
                .filter(one -> !one.isPutAway()
                        && shelves.getOrDefault(one.id(), OnShelf.NOTHING)
                                .isBelow(
                                        one.lowAt().map(Amount::value),
                                        one.facts().twoPart()))
                .map(Material::id)
                .toList();
    }

    /** Some of the materials that are low, and how many they are together. */
    public record LowStock(List<MaterialView> some, int together) {}

    /** The materials of which there is less than the maker wants to have; at most so many of them in full. */
    @Transactional(readOnly = true)
    public LowStock low(int most) {
        List<MaterialId> ids = lowIds();
        List<MaterialId> some = ids.stream().limit(most).toList();
        Map<MaterialId, OnShelf> shelves = shelves(some);
        MaterialViewWriter views = views();
        Map<MaterialId, Material> found =
                materials.findAllById(MaterialId.values(some)).stream().collect(Collectors.toMap(Material::id, m -> m));
        return new LowStock(
                some.stream()
                        .map(id -> views.view(found.get(id), shelves.getOrDefault(id, OnShelf.NOTHING)))
                        .toList(),
                ids.size());
    }

    /** Every material, by kind and name. */
    @Transactional(readOnly = true)
    public List<MaterialView> all() {
        Map<MaterialId, OnShelf> shelves = shelves(known.sums(), reservations.held());
        MaterialViewWriter views = views();
        return list.all().stream()
                .map(m -> views.view(m, shelves.getOrDefault(m.id(), OnShelf.NOTHING)))
                .toList();
    }

    /** The same, as other areas reckon with them. */
    @Transactional(readOnly = true)
    public List<ShelfMaterial> onShelf() {
        Map<MaterialId, OnShelf> shelves = shelves(known.sums(), reservations.held());
        return list.all().stream()
                .map(m -> MaterialViewWriter.onShelf(m, shelves.getOrDefault(m.id(), OnShelf.NOTHING)))
                .toList();
    }

    /** What every material is called and looks like, by kind and name. */
    @Transactional(readOnly = true)
    public List<ColouredMaterial> coloured() {
        return list.coloured();
    }

    /** One of them. */
    @Transactional(readOnly = true)
    public ShelfMaterial onShelf(MaterialId id) {
        return MaterialViewWriter.onShelf(find(id), shelves(List.of(id)).getOrDefault(id, OnShelf.NOTHING));
    }

    /** All materials by their names in small letters, as a sheet's lines name them. */
    @Transactional(readOnly = true)
    public Map<String, ShelfMaterial> byName() {
        Map<String, ShelfMaterial> byName = new HashMap<>();
        onShelf().forEach(one -> byName.put(one.name().toLowerCase(Locale.ROOT), one));
        return byName;
    }

    @Transactional(readOnly = true)
    public MaterialView get(MaterialId id) {
        Material material = find(id);
        return views().view(material, shelves(List.of(id)).getOrDefault(id, OnShelf.NOTHING));
    }

    /** Enters a new material, with what is on the shelf as its first lot. */
    public MaterialView create(MaterialForm form) {
        long made = onceOnly.make(form.requestId(), "material", form, () -> {
            Settings current = settings.current();
            FieldReader fields = new FieldReader();
            Material.Entered entered = new MaterialReader(fields, current).read(form, form.kind(), Facts.NONE);
            Optional<Amount> onHand = form.onHand().isBlank()
                    ? Optional.empty()
                    : Optional.of(MaterialReader.amount(fields, "onHand", form.onHand(), form.kind(), current));
            refuseTakenName(fields, entered.name(), Optional.empty());
            fields.check();
            return enter(form.kind(), entered, onHand, Boolean.TRUE.equals(form.given()))
                    .value();
        });
        return get(new MaterialId(made));
    }

    /** Enters a material that isn't there yet, as shops usually sell it. */
    public MaterialView name(NamedMaterial form) {
        return create(form.entered(settings.current().unitSystem()));
    }

    /**
     * Enters a new material inside the caller's transaction.
     *
     * @param given what is on the shelf was given
     */
    MaterialId enter(MaterialKind kind, Material.Entered entered, Optional<Amount> onHand, boolean given) {
        Material material = new Material(kind, clock.instant());
        material.enter(entered);
        MaterialId id = materials.save(material).id();
        prices.save(new MaterialPrice(material, clock.instant()));
        onHand.filter(Amount::isPositive).ifPresent(amount -> ledger.open(material, amount, given, "first entered"));
        return id;
    }

    @Transactional
    public MaterialView change(MaterialId id, MaterialForm form) {
        Material material = find(id);
        ChangedMeanwhileException.check("“" + material.name() + "”", form.version(), material.version());
        FieldReader fields = new FieldReader();
        Material.Entered entered =
                new MaterialReader(fields, settings.current()).read(form, material.kind(), material.facts());
        refuseTakenName(fields, entered.name(), Optional.of(id));
        refuseOtherParts(fields, material, entered.facts());
        fields.check();
        enter(material, entered);
        materials.flush();
        return get(id);
    }

    /** Puts a material away, or takes it back. */
    @Transactional
    public MaterialView putAway(MaterialId id, PutAway form) {
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
    public PageView<MovementView> movements(MaterialId id, int page, int size) {
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

    private Material find(MaterialId id) {
        return materials
                .findById(id.value())
                .orElseThrow(() -> RefusedException.missing("There is no such material, or no longer."));
    }

    private MaterialViewWriter views() {
        return new MaterialViewWriter(settings.current().writer());
    }

    private Map<MaterialId, OnShelf> shelves(Collection<MaterialId> ids) {
        return ids.isEmpty() ? Map.of() : shelves(known.sums(ids), reservations.held(ids));
    }

    private static Map<MaterialId, OnShelf> shelves(KnownMovements.Sums sums, List<OnHand> held) {
        return shelves(sums.measured(), held, sums.pieces());
    }

    private static Map<MaterialId, OnShelf> shelves(List<OnHand> onHand, List<OnHand> held, List<OnHand> pieces) {
        Map<MaterialId, Map<Part, Long>> there = byMaterial(onHand);
        Map<MaterialId, Map<Part, Long>> reserved = byMaterial(held);
        Map<MaterialId, Long> counts =
                pieces.stream().collect(Collectors.toMap(OnHand::materialId, OnHand::value, Long::sum));
        Map<MaterialId, OnShelf> shelves = new HashMap<>();
        for (Collection<MaterialId> ids : List.of(there.keySet(), reserved.keySet(), counts.keySet())) {
            for (MaterialId id : ids) {
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

    private static Map<MaterialId, Map<Part, Long>> byMaterial(List<OnHand> sums) {
        Map<MaterialId, Map<Part, Long>> byMaterial = new HashMap<>();
        sums.forEach(sum -> byMaterial
                .computeIfAbsent(sum.materialId(), id -> new EnumMap<>(Part.class))
                .put(sum.part(), sum.value()));
        return byMaterial;
    }

    private void refuseTakenName(FieldReader fields, String name, Optional<MaterialId> own) {
        materials
                .findByNameIgnoreCase(name)
                .filter(other -> own.filter(other.id()::equals).isEmpty())
                .ifPresent(other -> fields.refuse(
                        "name", name, "There is a material called “" + other.name() + "” already. Type another name."));
    }
}
