package mardun.app.upkeep;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import mardun.core.making.Upkeep;

/** After how much something is changed, where the maker has found another than the usual. */
@Entity
class UpkeepLimit {

    @Id
    @Enumerated(EnumType.STRING)
    private Upkeep.Kind kind;

    private BigDecimal limitValue;

    protected UpkeepLimit() {}

    UpkeepLimit(Upkeep.Kind kind, BigDecimal limitValue) {
        this.kind = kind;
        this.limitValue = limitValue;
    }

    Upkeep.Kind kind() {
        return kind;
    }

    BigDecimal limitValue() {
        return limitValue;
    }
}
