package mardun.app.shop;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import org.jspecify.annotations.Nullable;

/** Bags of a kind that are offered in the online shop. */
@Entity
class ShopListing {

    private static final String SKU = "MA";

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String bagKind;
    private long priceMinor;
    private boolean offered;
    private @Nullable Integer toldUnits;
    private @Nullable Long toldMinor;

    protected ShopListing() {}

    ShopListing(String bagKind) {
        this.bagKind = bagKind;
    }

    void offer(long minor, boolean isOffered) {
        priceMinor = minor;
        offered = isOffered;
    }

    /** The shop knows of so many at this price. */
    void told(int units, long minor) {
        toldUnits = units;
        toldMinor = minor;
    }

    /** The shop counts otherwise since somebody ordered there or changed their mind; it is told again. */
    void unsure() {
        toldUnits = null;
    }

    /** Whether the shop knows of something else than so many at this price. */
    boolean isNews(int units) {
        return toldUnits == null || toldUnits != units || toldMinor == null || toldMinor != priceMinor;
    }

    long id() {
        return id;
    }

    /** By which the shop knows it. */
    String sku() {
        return SKU + id;
    }

    /** The listing of a number that the shop knows; -1 for what is none. */
    static long idOf(String sku) {
        return sku.matches(SKU + "[0-9]{1,15}") ? Long.parseLong(sku.substring(SKU.length())) : -1;
    }

    String bagKind() {
        return bagKind;
    }

    long priceMinor() {
        return priceMinor;
    }

    boolean isOffered() {
        return offered;
    }

    @Nullable
    Integer toldUnits() {
        return toldUnits;
    }
}
