package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import javax.sql.DataSource;
import mardun.app.channel.Channels;
import mardun.app.sale.Sales;
import mardun.app.sale.Sales.NewSale;
import mardun.app.sale.Sales.Sold;
import mardun.core.selling.Tender;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** A sale that takes the place of another one keeps the bags that the buyer has, whichever came to the shelf meanwhile. */
class SoldInsteadTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final AtTheStall AT = new AtTheStall(APP);

    @Test
    void bagsThatStaySoldAreOfTheLotsOfWhichTheyWereSold() throws InterruptedException {
        assertThat(APP.put("/api/settings", APP.settings("METRIC")).status()).isEqualTo(200);
        AT.bags("Kept pouch,small,5,1.00,12.50,loft", "Kept pouch,small,2,4.00,12.50,home");
        AT.bags("Kept pouch,small,3,7.00,12.50,home");
        String kind = AtTheStall.kind("Kept pouch", "small");
        UUID first = booked(sale(kind, 4, 5000));
        assertThat(costs(first)).containsExactly(2 * 400L, 2 * 700L);

        move("loft", "home", 5);
        UUID instead = inTransaction(() -> {
            NewSale fewer = sale(kind, 3, 3750);
            APP.part(Sales.class).bookInstead(first, fewer);
            return fewer.id();
        });
        assertThat(costs(instead))
                .as("none of the older ones that lie there now")
                .containsExactly(2 * 400L, 700L);
        assertThat(APP.part(Sales.class).find(first)).as("it was taken back").isEmpty();
        AT.placesAddUp();

        UUID more = inTransaction(() -> {
            NewSale six = sale(kind, 6, 7500);
            APP.part(Sales.class).bookInstead(instead, six);
            return six.id();
        });
        assertThat(costs(more)).as("others are the oldest").containsExactly(2 * 400L, 700L, 3 * 100L);
        AT.placesAddUp();
    }

    private static NewSale sale(String kind, int units, long paid) {
        return new NewSale(
                UUID.randomUUID(),
                APP.part(Channels.class).all().get(0).id(),
                Optional.empty(),
                "home",
                Instant.now(),
                Tender.CASH,
                List.of(new Sold(kind, units, 1250)),
                paid,
                "",
                "");
    }

    private static UUID booked(NewSale sale) {
        return inTransaction(() -> {
            APP.part(Sales.class).book(sale);
            return sale.id();
        });
    }

    private static <T> T inTransaction(Supplier<T> work) {
        return new TransactionTemplate(APP.part(PlatformTransactionManager.class)).execute(status -> work.get());
    }

    /** What the bags of a sale cost, lot by lot. */
    private static List<Long> costs(UUID sale) {
        return new JdbcTemplate(APP.part(DataSource.class))
                .queryForList(
                        "select g.unit_cost_minor * l.units from sale_line l join finished_goods g on g.id = l.goods_id"
                                + " where l.sale_id = ? order by l.id",
                        Long.class,
                        sale);
    }

    private static void move(String from, String to, int units) {
        long lot = APP.get("/api/finished-goods?place=" + from)
                .body()
                .get("page")
                .get("items")
                .get(0)
                .get("id")
                .asLong();
        Map<String, Object> moves = Map.of(
                "requestId",
                UUID.randomUUID(),
                "place",
                from,
                "toPlace",
                to,
                "lots",
                List.of(Map.of("goodsId", lot, "units", Integer.toString(units))));
        assertThat(APP.post("/api/finished-goods/moves", moves).status()).isEqualTo(204);
    }
}
