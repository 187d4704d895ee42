package mardun.app;

import static mardun.app.AtTheStall.bag;
import static mardun.app.AtTheStall.kind;
import static mardun.app.AtTheStall.sale;
import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManagerFactory;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * How many questions the database is asked for each screen of a workroom in the middle of its season: a ceiling for each, so that none
 * begins to ask once for every row.
 */
class StatementsTest {

    @RegisterExtension
    static final RunningApp APP =
            // Nothing else may ask meanwhile, such as who looks at the online shop.
            new RunningApp(
                    "--mardun.demo=true",
                    "--mardun.shop.seconds=0",
                    "--spring.jpa.properties.hibernate.generate_statistics=true");

    private static final AtTheStall AT = new AtTheStall(APP);

    private static final Map<String, Integer> CEILINGS = ceilings();

    private static Map<String, Integer> ceilings() {
        Map<String, Integer> ceilings = new LinkedHashMap<>();
        ceilings.put("/api/bench", 22);
        ceilings.put("/api/days", 11);
        ceilings.put("/api/designs", 11);
        ceilings.put("/api/designs/1", 11);
        ceilings.put("/api/designs/1/revisions", 10);
        ceilings.put("/api/materials?size=60", 8);
        ceilings.put("/api/materials/1", 8);
        ceilings.put("/api/materials/1/shelf", 9);
        ceilings.put("/api/stock-value", 10);
        ceilings.put("/api/stock-take", 9);
        ceilings.put("/api/scrap", 9);
        ceilings.put("/api/buying", 23);
        ceilings.put("/api/deliveries", 6);
        ceilings.put("/api/batches", 8);
        ceilings.put("/api/batches/4", 18);
        ceilings.put("/api/batches/4/gather", 17);
        ceilings.put("/api/batches/4/cutting", 17);
        ceilings.put("/api/batches/4/order", 20);
        ceilings.put("/api/batches/3/tally", 20);
        ceilings.put("/api/finished-goods", 8);
        ceilings.put("/api/prices/book", 17);
        ceilings.put("/api/quotes", 10);
        ceilings.put("/api/orders", 5);
        ceilings.put("/api/orders/1", 9);
        ceilings.put("/api/resellers", 13);
        ceilings.put("/api/resellers/1", 13);
        ceilings.put("/api/posting", 4);
        ceilings.put("/api/posting/weights", 5);
        ceilings.put("/api/posting/orders/1", 11);
        ceilings.put("/api/finished-goods/67", 13);
        ceilings.put("/api/fairs", 6);
        ceilings.put("/api/fairs/12", 8);
        ceilings.put("/api/fairs/12/packing", 11);
        ceilings.put("/api/fairs/12/stall", 15);
        ceilings.put("/api/fairs/12/settlement", 10);
        ceilings.put("/api/online-shop", 15);
        ceilings.put("/api/online-shop/orders?query=marrow", 6);
        ceilings.put("/api/online-shop/payouts", 4);
        ceilings.put("/api/logbook", 21);
        ceilings.put("/api/logbook/figures", 10);
        ceilings.put("/api/year", 33);
        ceilings.put("/api/year/books?from=2026-01-01", 29);
        ceilings.put("/api/season-plan", 42);
        ceilings.put("/api/settings", 4);
        return ceilings;
    }

    @Test
    void noScreenAsksMoreThanItsCeiling() {
        List<String> over = new ArrayList<>();
        CEILINGS.forEach((screen, ceiling) -> {
            long asked = asked(screen);
            if (asked > ceiling) {
                over.add(screen + ": " + asked + " statements, at most " + ceiling);
            }
        });
        assertThat(over).isEmpty();
    }

    @Test
    void aLongPastAsksNoMoreThanAShortOne() {
        String design = "/api/designs/2";
        change(design, "first");
        // What was learnt at the bench is remembered from here on.
        asked(design + "/revisions");
        long ofAShortOne = asked(design + "/revisions");
        for (int i = 0; i < 5; i++) {
            change(design, "note " + i);
        }
        assertThat(asked(design + "/revisions")).isEqualTo(ofAShortOne);
    }

    @Test
    void aSaleAsksTheSameHoweverManyLotsThereWere() throws InterruptedException {
        String bag = "Plover purse,one,%d,3.00,9.00,stall box";
        AT.bags(bag.formatted(2));
        long fair = AT.fair("Ford fair", LocalDate.of(2027, 5, 1));
        sell(fair, 1);
        long ofOneLot = asked(() -> sell(fair, 1));
        AT.bags(Collections.nCopies(12, bag.formatted(1)).toArray(String[]::new));
        sell(fair, 12);
        AT.bags(bag.formatted(1));
        assertThat(asked(() -> sell(fair, 1))).isEqualTo(ofOneLot);
    }

    private static void sell(long fair, int units) {
        JsonNode stall = AT.tell(
                        fair,
                        UUID.randomUUID(),
                        List.of(sale("CASH", 900, List.of(bag(kind("Plover purse", "one"), units, 900)))))
                .body();
        assertThat(stall.get("questions")).isEmpty();
    }

    private static void change(String design, String note) {
        JsonNode now = APP.get(design).body();
        ObjectNode document = (ObjectNode) now.get("document");
        document.put("note", note);
        assertThat(APP.put(design, Map.of("version", now.get("version").asLong(), "document", document))
                        .status())
                .isEqualTo(200);
    }

    private static long asked(String screen) {
        return asked(() -> assertThat(APP.get(screen).status()).as(screen).isEqualTo(200));
    }

    private static long asked(Runnable request) {
        Statistics statistics = APP.part(EntityManagerFactory.class)
                .unwrap(SessionFactory.class)
                .getStatistics();
        statistics.clear();
        request.run();
        return statistics.getPrepareStatementCount();
    }
}
