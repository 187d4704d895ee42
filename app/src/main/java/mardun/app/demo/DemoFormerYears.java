package mardun.app.demo;

import java.time.LocalDate;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * The invented maker's fairs and online orders of the years before there was a book: their bags came from a list and are all gone. After
 * each fair some were offered in the shop until they were sold.
 */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoFormerYears {

    private final DemoFairs fairs;
    private final DemoShop shop;

    DemoFormerYears(DemoFairs fairs, DemoShop shop) {
        this.fairs = fairs;
        this.shop = shop;
    }

    void enter(LocalDate today) {
        shop.open(today.minusDays(1092));
        fairs.former(today.minusDays(1084), DemoFairs.LANTERN_QUAY, 9, 8);
        shop.former(today.minusDays(1060), 3);
        fairs.former(today.minusDays(980), DemoFairs.WHERRY_LANE, 7, 4);
        shop.former(today.minusDays(970), 2);
        fairs.former(today.minusDays(920), DemoFairs.PIER_HALL, 8, 5);
        shop.former(today.minusDays(900), 3);
        fairs.former(today.minusDays(765), DemoFairs.YARD_SALE, 5, 4);
        shop.former(today.minusDays(758), 1);
        fairs.former(today.minusDays(720), DemoFairs.LANTERN_QUAY, 11, 10);
        shop.former(today.minusDays(700), 3);
        fairs.former(today.minusDays(615), DemoFairs.WHERRY_LANE, 8, 4);
        shop.former(today.minusDays(600), 1);
        fairs.former(today.minusDays(555), DemoFairs.PIER_HALL, 9, 6);
        shop.former(today.minusDays(540), 3);
        fairs.former(today.minusDays(400), DemoFairs.YARD_SALE, 6, 3);
        shop.former(today.minusDays(390), 1);
        fairs.former(today.minusDays(356), DemoFairs.LANTERN_QUAY, 12, 12);
        shop.former(today.minusDays(335), 3);
        shop.oneOfTwoBack(today.minusDays(280), "Crushed in the post: it wants a stiff card.");
        fairs.former(today.minusDays(250), DemoFairs.WHERRY_LANE, 9, 6);
        shop.former(today.minusDays(240), 2);
        fairs.former(today.minusDays(190), DemoFairs.PIER_HALL, 9, 7);
        shop.former(today.minusDays(180), 3);
    }
}
