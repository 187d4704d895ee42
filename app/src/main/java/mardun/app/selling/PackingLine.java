package mardun.app.selling;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.util.Optional;
import mardun.app.id.FairId;
import org.jspecify.annotations.Nullable;

/** Bags of a kind that go along to a fair. */
@Entity
class PackingLine {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private FairId fairId;
    private String bagKind;
    private int units;
    private String box;
    private @Nullable Long priceMinor;

    /** What was asked for one when it was put on the list, as its ticket has it; 0 for nothing. */
    private long askedMinor;

    private boolean packed;

    /** How many were moved into the stall's box when it was ticked. */
    private int movedUnits;

    protected PackingLine() {}

    PackingLine(FairId fairId, String bagKind) {
        this.fairId = fairId;
        this.bagKind = bagKind;
        this.box = "";
    }

    void enter(int howMany, String inBox, @Nullable Long ownPriceMinor, long asked) {
        askedMinor = asked;
        units = howMany;
        box = inBox;
        priceMinor = ownPriceMinor;
    }

    void pack(int moved) {
        packed = true;
        movedUnits = moved;
    }

    void unpack() {
        packed = false;
        movedUnits = 0;
    }

    FairId fairId() {
        return fairId;
    }

    String bagKind() {
        return bagKind;
    }

    int units() {
        return units;
    }

    String box() {
        return box;
    }

    /** For what one is sold there: the maker's own price for this fair, or else what was asked when it was put on the list. */
    long soldFor() {
        return priceMinor == null ? askedMinor : priceMinor;
    }

    /** The maker's own price for this fair; empty for the channel's. */
    Optional<Long> priceMinor() {
        return Optional.ofNullable(priceMinor);
    }

    boolean isPacked() {
        return packed;
    }

    int movedUnits() {
        return movedUnits;
    }
}
