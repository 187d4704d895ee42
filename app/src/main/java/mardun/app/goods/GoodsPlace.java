package mardun.app.goods;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

/** How many of a lot are at a place now: the sum of its movements there, kept beside them so that ten years of them needn't be added up. */
@Entity
class GoodsPlace {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long goodsId;
    private String place;
    private int units;

    protected GoodsPlace() {}

    GoodsPlace(long goodsId, String place, int units) {
        this.goodsId = goodsId;
        this.place = place;
        this.units = units;
    }
}
