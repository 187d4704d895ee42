package mardun.app.buying;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.buying.BuyingViews.OfferForm;
import mardun.app.buying.BuyingViews.OfferView;
import mardun.app.buying.BuyingViews.SupplierForm;
import mardun.app.buying.BuyingViews.SupplierView;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialReader;
import mardun.app.material.MaterialRemoved;
import mardun.app.material.MaterialService;
import mardun.app.material.ShelfMaterial;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.HoldsMoney;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.material.Amount;
import mardun.core.material.Counting;
import mardun.core.material.MaterialKind;
import mardun.core.material.Offer;
import mardun.core.measure.BulkUnit;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shops that the maker buys from, and the packs that they sell. */
@Service
public class SupplierService implements HoldsMoney {

    private static final int LONGEST_NAME = 120;

    private final SupplierRepository suppliers;
    private final SupplierOfferRepository offers;
    private final MaterialService materials;
    private final SettingsService settings;
    private final OnceOnly onceOnly;

    SupplierService(
            SupplierRepository suppliers,
            SupplierOfferRepository offers,
            MaterialService materials,
            SettingsService settings,
            OnceOnly onceOnly) {
        this.suppliers = suppliers;
        this.offers = offers;
        this.materials = materials;
        this.settings = settings;
        this.onceOnly = onceOnly;
    }

    @Override
    public boolean holdsMoney() {
        return suppliers.count() > 0;
    }

    /** The packs of a material that is removed go with it. */
    @EventListener
    public void forget(MaterialRemoved removed) {
        offers.deleteByMaterialId(removed.materialId());
    }

    /** The shops' names by their ids. */
    @Transactional(readOnly = true)
    public Map<Long, String> names() {
        Map<Long, String> names = new HashMap<>();
        suppliers.findAll().forEach(supplier -> names.put(supplier.id(), supplier.name()));
        return names;
    }

    /** The shops, by name. */
    @Transactional(readOnly = true)
    List<Supplier> all() {
        return suppliers.findAllByOrderByNameAsc();
    }

    @Transactional(readOnly = true)
    public List<SupplierView> list() {
        ViewWriter writer = settings.current().writer();
        return all().stream().map(supplier -> view(supplier, writer)).toList();
    }

    public SupplierView create(SupplierForm form) {
        return get(onceOnly.make(form.requestId(), "shop", form, () -> enter(new Supplier(), form, 0)));
    }

    @Transactional
    public SupplierView change(long id, SupplierForm form) {
        Supplier supplier = find(id);
        ChangedMeanwhileException.check("“" + supplier.name() + "”", form.version(), supplier.version());
        return get(enter(supplier, form, id));
    }

    private long enter(Supplier supplier, SupplierForm form, long ownId) {
        FieldReader fields = new FieldReader();
        String name = fields.text("name", form.name(), LONGEST_NAME);
        long postage =
                fields.money("postage", form.postage(), settings.current().currency());
        suppliers
                .findByNameIgnoreCase(name)
                .filter(other -> other.id() != ownId)
                .ifPresent(other -> fields.refuse(
                        "name", name, "There is a shop called “" + other.name() + "” already. Type another name."));
        fields.check();
        supplier.enter(name, postage);
        return suppliers.saveAndFlush(supplier).id();
    }

    /** Stores a shop that was read and checked, inside the caller's transaction; {@code id} is 0 for a new one. */
    void store(long id, String name, long postage) {
        Supplier supplier = id == 0 ? new Supplier() : find(id);
        supplier.enter(name, postage);
        suppliers.save(supplier);
    }

    /** Stores a pack that was read and checked, in the place of one that holds the same; in the caller's transaction. */
    long store(MaterialId materialId, long supplierId, Amount content, long priceMinor) {
        Supplier supplier = find(supplierId);
        offers.findByMaterialIdAndSupplierAndContentValue(materialId, supplier, content.value())
                .ifPresent(before -> {
                    offers.delete(before);
                    offers.flush();
                });
        return offers.save(new SupplierOffer(materialId, supplier, content.value(), priceMinor))
                .id();
    }

    List<SupplierOffer> allOffers() {
        return offers.findAllWithSuppliers();
    }

    /** Reads what one pack holds. */
    static Amount content(FieldReader fields, String field, String typed, MaterialKind kind, Settings current) {
        int before = fields.problems().size();
        Amount content = MaterialReader.amount(fields, field, typed, kind, current);
        if (fields.problems().size() == before && content.compareTo(least(kind.counting())) < 0) {
            fields.refuse(
                    field,
                    typed,
                    "“" + typed
                            + "” is less than any shop sells. Type what one pack holds: 10, 0.5 m, 1 yd,"
                            + " 250 g or the like.");
        }
        return content;
    }

    private SupplierView get(long id) {
        return view(find(id), settings.current().writer());
    }

    /** The packs of a material, shop by shop. */
    @Transactional(readOnly = true)
    public List<OfferView> offers(MaterialId materialId) {
        ShelfMaterial material = materials.onShelf(materialId);
        ViewWriter writer = settings.current().writer();
        return offers.findOf(List.of(materialId)).stream()
                .map(offer -> new OfferView(
                        offer.id(),
                        offer.supplier().id(),
                        offer.supplier().name(),
                        writer.amount(new Amount(material.kind().counting(), offer.contentValue())),
                        writer.money(offer.priceMinor())))
                .toList();
    }

    public List<OfferView> offer(MaterialId materialId, OfferForm form) {
        onceOnly.make(form.requestId(), "offer", form, () -> {
            ShelfMaterial material = materials.onShelf(materialId);
            Settings current = settings.current();
            FieldReader fields = new FieldReader();
            Amount content = content(fields, "content", form.content(), material.kind(), current);
            long price = fields.money("price", form.price(), current.currency());
            fields.check();
            return store(materialId, form.supplierId(), content, price);
        });
        return offers(materialId);
    }

    /** The least that a pack may hold; below it there are too many packs to choose from, and the unit was a slip. */
    private static Amount least(Counting counting) {
        return switch (counting) {
            case PIECES -> Amount.pieces(1);
            case LENGTH -> Amount.of(Length.of(1, LengthUnit.CENTIMETRE));
            case WEIGHT -> new Amount(Counting.WEIGHT, BulkUnit.GRAM.amount());
            case VOLUME -> new Amount(Counting.VOLUME, BulkUnit.MILLILITRE.amount());
        };
    }

    @Transactional
    public void withdraw(long offerId) {
        offers.deleteById(offerId);
    }

    /** The packs of some materials, for the choice among them; keys are ids as text. */
    List<Offer> offers(Collection<ShelfMaterial> wanted) {
        Settings current = settings.current();
        Map<MaterialId, MaterialKind> kinds =
                wanted.stream().collect(Collectors.toMap(ShelfMaterial::id, ShelfMaterial::kind));
        return offers.findOf(kinds.keySet()).stream()
                .map(offer -> new Offer(
                        Long.toString(offer.id()),
                        offer.materialId().key(),
                        Long.toString(offer.supplier().id()),
                        new Amount(kinds.get(offer.materialId()).counting(), offer.contentValue()),
                        current.money(offer.priceMinor())))
                .toList();
    }

    private Supplier find(long id) {
        return suppliers
                .findById(id)
                .orElseThrow(() -> RefusedException.missing("There is no such shop, or no longer."));
    }

    static SupplierView view(Supplier supplier, ViewWriter writer) {
        return new SupplierView(
                supplier.id(), supplier.version(), supplier.name(), writer.money(supplier.postageMinor()));
    }
}
