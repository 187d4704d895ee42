package mardun.app.goods;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

/** Finished bags that came to a place or left it. Movements are added, never changed. */
@Entity
@Immutable
class GoodsMovement {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long goodsId;
    private String place;

    @Enumerated(EnumType.STRING)
    private GoodsKind kind;

    private int changeUnits;
    private String reason;
    private Instant movedAt;

    protected GoodsMovement() {}

    GoodsMovement(long goodsId, String place, GoodsKind kind, int changeUnits, String reason, Instant movedAt) {
        this.goodsId = goodsId;
        this.place = place;
        this.kind = kind;
        this.changeUnits = changeUnits;
        this.reason = reason;
        this.movedAt = movedAt;
    }

    long id() {
        return id;
    }

    String place() {
        return place;
    }

    GoodsKind kind() {
        return kind;
    }

    int changeUnits() {
        return changeUnits;
    }

    String reason() {
        return reason;
    }

    Instant movedAt() {
        return movedAt;
    }
}
