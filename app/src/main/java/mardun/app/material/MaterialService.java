package mardun.app.material;

import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import mardun.app.material.MaterialView.MovementView;
import mardun.app.material.StockMovementRepository.OnHand;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.HoldsMoney;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.ViewWriter;
import mardun.core.batch.Supply;
import mardun.core.material.Amount;
import mardun.core.material.Counting;
import mardun.core.material.Ledger;
import mardun.core.material.Ledger.Movement;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Bulk;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.ShownRounding;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Pageable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Materials and their ledger. */
@Service
public class MaterialService implements HoldsMoney {

    private static final Length WIDEST_CLOTH = Length.of(5, LengthUnit.METRE);
    private static final int MOST_PIECES = 1_000_000;
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_NOTE = 1000;
    private static final int LONGEST_REASON = 300;
    private static final Pattern COLOUR = Pattern.compile("#[0-9a-fA-F]{6}");

    private final MaterialRepository materials;
    private final StockMovementRepository movements;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    MaterialService(
            MaterialRepository materials,
            StockMovementRepository movements,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.materials = materials;
        this.movements = movements;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    @Override
    public boolean holdsMoney() {
        return materials.count() > 0;
    }

    public boolean hasAny(MaterialKind kind) {
        return materials.findByKindOrderByNameAsc(kind, PageRequest.of(0, 1)).hasContent();
    }

    @Transactional(readOnly = true)
    public PageView<MaterialView> list(Optional<MaterialKind> kind, int page, int size) {
        PageRequest request = PageRequest.of(page, Math.min(size, PageView.LARGEST));
        Page<Material> found = kind.map(k -> materials.findByKindOrderByNameAsc(k, request))
                .orElseGet(() -> materials.findAllByOrderByKindAscNameAsc(request));
        Map<Long, Long> onHand =
                onHand(found.getContent().stream().map(Material::id).toList());
        ViewWriter writer = settings.current().writer();
        return PageView.of(found, m -> view(m, onHand.getOrDefault(m.id(), 0L), writer));
    }

    /** Every material, by kind and name. */
    @Transactional(readOnly = true)
    public List<MaterialView> all() {
        Map<Long, Long> onHand = new HashMap<>();
        movements.onHand().forEach(one -> onHand.put(one.getMaterialId(), one.getValue()));
        ViewWriter writer = settings.current().writer();
        return materials.findAllByOrderByKindAscNameAsc(Pageable.unpaged()).stream()
                .map(m -> view(m, onHand.getOrDefault(m.id(), 0L), writer))
                .toList();
    }

    @Transactional(readOnly = true)
    public MaterialView get(long id) {
        Material material = find(id);
        return view(material, movements.onHand(id), settings.current().writer());
    }

    /** Enters a new material, with what is on the shelf as its first movement. */
    public MaterialView create(MaterialForm form) {
        return get(onceOnly.make(form.requestId(), () -> {
            Settings current = settings.current();
            FieldReader fields = new FieldReader();
            Material.Entered entered = read(form, form.kind(), current, fields);
            Optional<Amount> onHand = form.onHand().isBlank()
                    ? Optional.empty()
                    : Optional.of(amount(fields, "onHand", form.onHand(), form.kind(), current));
            refuseTakenName(fields, entered.name(), 0);
            fields.check();
            Material material = new Material(form.kind(), clock.instant());
            material.enter(entered);
            long id = materials.saveAndFlush(material).id();
            onHand.filter(Amount::isPositive)
                    .ifPresent(amount -> move(id, null, MovementKind.COUNTED, amount, "first entered"));
            return id;
        }));
    }

    @Transactional
    public MaterialView change(long id, MaterialForm form) {
        Material material = find(id);
        ChangedMeanwhileException.check("“" + material.name() + "”", form.version(), material.version());
        FieldReader fields = new FieldReader();
        Material.Entered entered = read(form, material.kind(), settings.current(), fields);
        refuseTakenName(fields, entered.name(), id);
        fields.check();
        material.enter(entered);
        materials.saveAndFlush(material);
        return get(id);
    }

    /** Moves stock as a person enters it: always a positive amount, its direction given by the kind. */
    public MaterialView move(long id, MovementForm form) {
        onceOnly.make(form.requestId(), () -> {
            Material material = held(id);
            FieldReader fields = new FieldReader();
            Amount typed = amount(fields, "amount", form.amount(), material.kind(), settings.current());
            if (form.reason().length() > LONGEST_REASON) {
                fields.refuse("reason", form.reason(), "Say it in at most " + LONGEST_REASON + " characters.");
            }
            fields.check();
            Amount change = switch (form.kind().direction()) {
                case IN -> typed;
                case OUT -> typed.negated();
                case EITHER -> typed.minus(onHand(material));
            };
            return move(id, null, form.kind(), change, form.reason().strip());
        });
        return get(id);
    }

    /** Adds a movement to the ledger, inside the caller's transaction; answers its id. */
    @Transactional
    public long move(long id, @Nullable Long batchId, MovementKind kind, Amount change, String reason) {
        Material material = held(id);
        Amount before = onHand(material);
        try {
            Ledger.after(before, new Movement(kind, change, reason));
        } catch (Ledger.RefusedException refused) {
            throw explained(refused.refusal(), material, before, change);
        }
        return movements
                .save(new StockMovement(id, batchId, kind, change.value(), reason, clock.instant()))
                .id();
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
                        writer.amount(new Amount(material.kind().counting(), m.changeValue())),
                        m.reason(),
                        m.movedAt(),
                        m.batchId().orElse(null)));
    }

    /** A material as what fills a slot of a design; empty if there is no such material. */
    @Transactional(readOnly = true)
    public Optional<Supply> supply(String slot, long id) {
        return supplies(Map.of(slot, id)).stream().findFirst();
    }

    /** Materials as what fills a design's slots, in the order of the slots; those that there aren't are left out. */
    @Transactional(readOnly = true)
    public List<Supply> supplies(Map<String, Long> idBySlot) {
        Map<Long, Material> found = new HashMap<>();
        materials.findAllById(idBySlot.values()).forEach(material -> found.put(material.id(), material));
        Map<Long, Long> onHand = onHand(found.keySet());
        Settings current = settings.current();
        return idBySlot.entrySet().stream()
                .filter(slot -> found.containsKey(slot.getValue()))
                .map(slot -> supply(
                        slot.getKey(), found.get(slot.getValue()), onHand.getOrDefault(slot.getValue(), 0L), current))
                .toList();
    }

    private static Supply supply(String slot, Material material, long onHand, Settings current) {
        return new Supply(
                slot,
                Long.toString(material.id()),
                material.name(),
                material.kind(),
                material.usableWidth(),
                material.cloth(),
                material.isDirectional(),
                new UnitPrice(current.money(material.priceMinor()), material.pricePer()),
                new Amount(material.kind().counting(), onHand));
    }

    private Material find(long id) {
        return materials
                .findById(id)
                .orElseThrow(() -> RefusedException.missing("There is no such material, or no longer."));
    }

    private Material held(long id) {
        return materials
                .findForMoving(id)
                .orElseThrow(() -> RefusedException.missing("There is no such material, or no longer."));
    }

    private Amount onHand(Material material) {
        return new Amount(material.kind().counting(), movements.onHand(material.id()));
    }

    private Map<Long, Long> onHand(Collection<Long> ids) {
        Map<Long, Long> onHand = new HashMap<>();
        if (!ids.isEmpty()) {
            for (OnHand one : movements.onHand(ids)) {
                onHand.put(one.getMaterialId(), one.getValue());
            }
        }
        return onHand;
    }

    private void refuseTakenName(FieldReader fields, String name, long ownId) {
        materials
                .findByNameIgnoreCase(name)
                .filter(other -> other.id() != ownId)
                .ifPresent(other -> fields.refuse(
                        "name", name, "There is a material called “" + other.name() + "” already. Type another name."));
    }

    private static Material.Entered read(MaterialForm form, MaterialKind kind, Settings current, FieldReader fields) {
        Optional<Length> width = Optional.empty();
        if (kind == MaterialKind.CLOTH) {
            String typed = form.usableWidth() == null ? "" : form.usableWidth();
            width = Optional.of(fields.positiveLength(
                    "usableWidth", typed, current.unitSystem().smallUnit(), WIDEST_CLOTH));
        }
        Amount per = amount(fields, "pricePer", form.pricePer(), kind, current);
        if (!per.isPositive()) {
            per = new Amount(kind.counting(), 1);
            fields.refuse("pricePer", form.pricePer(), "A price is for something: type 1 m, 1 yd, 10 or 100 g.");
        }
        if (form.note().length() > LONGEST_NOTE) {
            fields.refuse("note", form.note(), "Use at most " + LONGEST_NOTE + " characters.");
        }
        if (!COLOUR.matcher(form.colour()).matches()) {
            fields.refuse("colour", form.colour(), "“" + form.colour() + "” isn't a colour. Choose one, like #4a6b7c.");
        }
        return new Material.Entered(
                fields.text("name", form.name(), LONGEST_NAME),
                form.note().strip(),
                form.colour().toLowerCase(Locale.ROOT),
                width,
                form.directional(),
                kind == MaterialKind.CLOTH ? Optional.ofNullable(form.cloth()) : Optional.empty(),
                fields.money("price", form.price(), current.currency()),
                per,
                form.lowAt().isBlank()
                        ? Optional.empty()
                        : Optional.of(amount(fields, "lowAt", form.lowAt(), kind, current)));
    }

    /** Reads an amount of a kind of material, zero or more, as it is typed: a length, a count, a weight or a volume. */
    public static Amount amount(FieldReader fields, String field, String text, MaterialKind kind, Settings current) {
        return switch (kind.counting()) {
            case PIECES -> Amount.pieces(fields.count(field, text, 0, MOST_PIECES));
            case WEIGHT -> Amount.of(fields.bulk(field, text, Bulk.Kind.WEIGHT));
            case VOLUME -> Amount.of(fields.bulk(field, text, Bulk.Kind.VOLUME));
            case LENGTH -> length(fields, field, text, current);
        };
    }

    private static Amount length(FieldReader fields, String field, String text, Settings current) {
        Length length = fields.length(field, text, current.unitSystem().clothUnit());
        if (length.isLongerThan(LengthReader.LONGEST)) {
            fields.refuse(field, text, "“" + text + "” is longer than a kilometre. Check the unit.");
        }
        return Amount.of(length);
    }

    private RefusedException explained(Ledger.Refusal refusal, Material material, Amount before, Amount change) {
        ViewWriter writer = settings.current().writer();
        String onShelf = writer.text(before.shown());
        return RefusedException.conflict(
                switch (refusal) {
                    case NOTHING_MOVED ->
                        "On the shelf are " + onShelf + " of “" + material.name()
                                + "” already; there is nothing to move.";
                    case WRONG_DIRECTION -> "This kind of movement doesn't go that way.";
                    case REASON_MISSING -> "Say why, so that the shelf can be understood later.";
                    case BELOW_ZERO ->
                        "Only " + onShelf + " of “" + material.name() + "” are on the shelf, and "
                                + writer.text(change.negated().shown())
                                + " would leave it. Enter what is there first, or give a reason.";
                });
    }

    private static MaterialView view(Material material, long onHand, ViewWriter writer) {
        Counting counting = material.kind().counting();
        Amount amount = new Amount(counting, onHand);
        return new MaterialView(
                material.id(),
                material.version(),
                material.kind(),
                material.name(),
                material.note(),
                material.colour(),
                material.usableWidth()
                        .map(width -> writer.length(width, ShownRounding.NEAREST))
                        .orElse(null),
                material.isDirectional(),
                material.cloth().orElse(null),
                writer.money(material.priceMinor()),
                writer.amount(material.pricePer()),
                material.lowAt().map(writer::amount).orElse(null),
                writer.amount(amount),
                amount.isNegative()
                        || material.lowAt()
                                .map(low -> amount.compareTo(low) < 0)
                                .orElse(false));
    }
}
