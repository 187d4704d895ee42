package mardun.app.material;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.ShelfLimits;
import mardun.core.material.Ware;
import mardun.core.measure.Bulk;
import mardun.core.measure.BulkUnit;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/** Reads what is typed about a material. */
public final class MaterialReader {

    static final Length WIDEST_CLOTH = Length.of(5, LengthUnit.METRE);
    static final int LONGEST_PLACE = 80;
    private static final int MOST_PIECES = 1_000_000;
    private static final int MOST_LAYERS = 40;
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_NOTE = 1000;
    private static final Pattern COLOUR = Pattern.compile("#[0-9a-fA-F]{6}");

    private final FieldReader fields;
    private final Settings settings;

    MaterialReader(FieldReader fields, Settings settings) {
        this.fields = fields;
        this.settings = settings;
    }

    Material.Entered read(MaterialForm form, MaterialKind kind, Facts before) {
        Facts facts = form.facts() == null ? before : facts(form.facts(), kind);
        Optional<Length> width = kind == MaterialKind.CLOTH
                ? Optional.of(usableWidth(form.usableWidth() == null ? "" : form.usableWidth(), facts))
                : kind == MaterialKind.SHEET ? Optional.of(side("usableWidth", form.usableWidth())) : Optional.empty();
        Optional<Length> sheetHeight =
                kind == MaterialKind.SHEET ? Optional.of(side("sheetHeight", form.sheetHeight())) : Optional.empty();
        boolean noPrice = form.price().isBlank();
        Amount per = noPrice && form.pricePer().isBlank()
                ? usualFor(kind)
                : amount(fields, "pricePer", form.pricePer(), kind, settings);
        if (!per.isPositive()) {
            per = new Amount(kind.counting(), 1);
            fields.refuse("pricePer", form.pricePer(), "A price is for something: type 1 m, 1 yd, 10 or 100 g.");
        }
        atMost("note", form.note(), LONGEST_NOTE);
        if (!COLOUR.matcher(form.colour()).matches()) {
            fields.refuse("colour", form.colour(), "“" + form.colour() + "” isn't a colour. Choose one, like #4a6b7c.");
        }
        Optional<Amount> lowAt = form.lowAt().isBlank()
                ? Optional.empty()
                : Optional.of(amount(fields, "lowAt", form.lowAt(), kind, settings));
        if (facts.targetValue() != null
                && facts.targetValue() < lowAt.map(Amount::value).orElse(0L)) {
            fields.refuse(
                    "facts.target",
                    form.facts() == null ? "" : form.facts().target(),
                    "The target is less than the amount that counts as low. Type at least as much.");
        }
        Money price = settings.money(noPrice ? 0 : fields.money("price", form.price(), settings.currency()));
        if (!ShelfLimits.isPayable(price, per)) {
            fields.refuse(
                    "pricePer",
                    form.pricePer(),
                    "At that price a metre, a piece, a kilogram or a litre would cost more than a million. Check what the"
                            + " price is for.");
        }
        return new Material.Entered(
                fields.text("name", form.name(), LONGEST_NAME),
                form.note().strip(),
                form.colour().toLowerCase(Locale.ROOT),
                width,
                sheetHeight,
                form.directional(),
                kind.isCloth() ? Optional.ofNullable(form.cloth()) : Optional.empty(),
                price.getAmountMinorLong(),
                per,
                lowAt,
                facts);
    }

    /** What a price is for where nobody knows it yet. */
    private Amount usualFor(MaterialKind kind) {
        return switch (kind.counting()) {
            case LENGTH -> Amount.of(Length.of(1, settings.unitSystem().clothUnit()));
            case PIECES -> Amount.pieces(1);
            case WEIGHT -> Amount.of(new Bulk(Bulk.Kind.WEIGHT, BulkUnit.KILOGRAM.amount()));
            case VOLUME -> Amount.of(new Bulk(Bulk.Kind.VOLUME, BulkUnit.LITRE.amount()));
        };
    }

    /** As typed; where it stays empty, the full width without the selvages. */
    private Length usableWidth(String typed, Facts facts) {
        Optional<Length> worked = facts.fullWidthNm() == null
                ? Optional.empty()
                : Optional.of(
                        new Length(facts.fullWidthNm() - 2 * (facts.selvageNm() == null ? 0 : facts.selvageNm())));
        if (typed.isBlank() && worked.isPresent()) {
            if (!worked.get().isPositive()) {
                fields.refuse("facts.selvage", "", "The selvages are wider than the cloth. Check both widths.");
                return WIDEST_CLOTH;
            }
            return worked.get();
        }
        Length width = fields.positiveLength(
                "usableWidth", typed, settings.unitSystem().smallUnit(), WIDEST_CLOTH);
        boolean wider = facts.fullWidthNm() != null && width.nanometres() > facts.fullWidthNm();
        if (wider) {
            fields.refuse("usableWidth", typed, "“" + typed + "” is more than the full width. Check both.");
        }
        return width;
    }

    private Facts facts(FactsForm form, MaterialKind kind) {
        boolean cloth = kind.isCloth();
        boolean notion = kind == MaterialKind.NOTION;
        BigDecimal shrinkage = form.shrinkage().isBlank() || !cloth
                ? BigDecimal.ZERO
                : fields.decimal("facts.shrinkage", form.shrinkage(), BigDecimal.ZERO, BigDecimal.valueOf(50))
                        .movePointLeft(2);
        atMost("facts.fibre", form.fibre(), 80);
        atMost("facts.needle", form.needle(), 20);
        atMost("facts.care", form.care(), 200);
        atMost("facts.place", form.place(), LONGEST_PLACE);
        Amount target = form.target().isBlank()
                ? Amount.none(kind.counting())
                : amount(fields, "facts.target", form.target(), kind, settings);
        return new Facts(
                cloth ? small("facts.fullWidth", form.fullWidth()) : null,
                cloth ? small("facts.selvage", form.selvage()) : null,
                form.fibre().strip(),
                form.weightClass(),
                cloth && form.nap(),
                cloth ? small("facts.repeat", form.repeat()) : null,
                shrinkage,
                shrinkage.signum() > 0 && form.shrinksAfterCutting(),
                cloth ? form.ironable() : null,
                cloth ? form.frays() : null,
                form.layersAtOnce().isBlank() || !cloth
                        ? null
                        : fields.count("facts.layersAtOnce", form.layersAtOnce(), 1, MOST_LAYERS),
                form.needle().strip(),
                form.care().strip(),
                form.print(),
                form.oneDyeLot(),
                notion && form.twoPart(),
                ware(form, kind),
                notion ? small("facts.zipLength", form.zipLength()) : null,
                notion && form.zipMetal(),
                kind == MaterialKind.THREAD ? perHour(form.usePerHour()) : null,
                target.isPositive() ? target.value() : null,
                form.place().strip());
    }

    private @Nullable Ware ware(FactsForm form, MaterialKind kind) {
        if (form.ware() != null && form.ware().kind() != kind) {
            fields.refuse(
                    "facts.ware",
                    form.ware().words(),
                    "This isn't counted like a " + form.ware().words() + ". Choose another, or leave it open.");
        }
        boolean isClosedZip = !form.zipLength().isBlank();
        return isClosedZip ? null : form.ware();
    }

    /** A side of a sheet. */
    private Length side(String field, @Nullable String typed) {
        return fields.positiveLength(
                field, typed == null ? "" : typed, settings.unitSystem().smallUnit(), WIDEST_CLOTH);
    }

    private @Nullable Long small(String field, String typed) {
        return typed.isBlank()
                ? null
                : fields.positiveLength(field, typed, settings.unitSystem().smallUnit(), WIDEST_CLOTH)
                        .nanometres();
    }

    private @Nullable Long perHour(String typed) {
        return typed.isBlank()
                ? null
                : length(fields, "facts.usePerHour", typed, settings).value();
    }

    void atMost(String field, String typed, int most) {
        if (typed.strip().length() > most) {
            fields.refuse(field, typed, "Use at most " + most + " characters.");
        }
    }

    /** Reads an amount of a kind of material, zero or more, as it is typed: a length, a count, a weight or a volume. */
    public static Amount amount(FieldReader fields, String field, String text, MaterialKind kind, Settings current) {
        Amount read = switch (kind.counting()) {
            case PIECES -> Amount.pieces(fields.count(field, text, 0, MOST_PIECES));
            case WEIGHT -> Amount.of(fields.bulk(field, text, Bulk.Kind.WEIGHT));
            case VOLUME -> Amount.of(fields.bulk(field, text, Bulk.Kind.VOLUME));
            case LENGTH -> length(fields, field, text, current);
        };
        if (ShelfLimits.holds(read)) {
            return read;
        }
        fields.refuse(
                field,
                text,
                "“" + text + "” is more than "
                        + current.writer()
                                .text(ShelfLimits.most(read.counting()).shown())
                        + ", the most that a shelf holds. Check the unit.");
        return Amount.none(read.counting());
    }

    private static Amount length(FieldReader fields, String field, String text, Settings current) {
        Length length = fields.length(field, text, current.unitSystem().clothUnit());
        if (length.isLongerThan(LengthReader.LONGEST)) {
            fields.refuse(field, text, "“" + text + "” is longer than ten kilometres. Check the unit.");
        }
        return Amount.of(length);
    }
}
