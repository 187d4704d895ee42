package mardun.app.shop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.batch.BatchStage;
import mardun.app.batch.OpenWork;
import mardun.app.goods.BagKind;
import mardun.app.goods.Quality;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.shop.MissingBags.UnderWay;
import mardun.core.making.OrderWishes;
import mardun.core.making.StillToDo;
import mardun.core.planning.Missing;
import org.junit.jupiter.api.Test;

/** Which batch makes which bags that an order lacks. */
class MissingBagsTest {

    private static final ShopOrder ORDER = new ShopOrder("S-7");
    private static final DesignId POUCH = new DesignId(3);
    private static final MaterialId MOSS = new MaterialId(5);

    private static BagKind kind(DesignId design, String size, MaterialId cloth) {
        return new BagKind(
                "a",
                Optional.ofNullable(design),
                Optional.of(size),
                Optional.of(cloth),
                "Pouch",
                "small",
                "Moss",
                Quality.GOOD,
                true);
    }

    private static UnderWay underWay(OpenWork... works) {
        return new UnderWay(Map.of(MissingBags.forWhat(ORDER), List.of(works)));
    }

    private static OpenWork batch(long id, String size, MaterialId cloth) {
        return new OpenWork(
                new BatchId(id),
                0,
                "Pouch",
                BatchStage.PLANNED,
                false,
                false,
                Optional.empty(),
                MissingBags.forWhat(ORDER),
                List.of(new OpenWork.Bags(POUCH, Optional.of(size), Optional.of(cloth), 1, 1)),
                new StillToDo(List.of()),
                false,
                Map.of(),
                Map.of(),
                OrderWishes.NONE,
                Missing.NOTHING);
    }

    @Test
    void itIsTheOneWithBagsOfTheirDesignSizeAndCloth() {
        UnderWay two = underWay(batch(1, "a", MOSS), batch(2, "b", MOSS));
        assertThat(two.of(ORDER, kind(POUCH, "a", MOSS))).contains(new BatchId(1));
        assertThat(two.of(ORDER, kind(POUCH, "b", MOSS))).contains(new BatchId(2));
        assertThat(two.of(ORDER, kind(POUCH, "c", MOSS))).isEmpty();
        assertThat(two.of(ORDER, kind(POUCH, "b", new MaterialId(6)))).isEmpty();
        assertThat(two.of(ORDER, kind(new DesignId(4), "a", MOSS))).isEmpty();
    }

    @Test
    void bagsOfNoKnownDesignMayBeMadeByAnyThatIsForTheOrder() {
        assertThat(underWay(batch(1, "a", MOSS)).of(ORDER, kind(null, "b", MOSS)))
                .contains(new BatchId(1));
    }

    @Test
    void anotherOrdersBatchIsNotTaken() {
        assertThat(underWay(batch(1, "a", MOSS)).of(new ShopOrder("S-8"), kind(POUCH, "a", MOSS)))
                .isEmpty();
    }
}
