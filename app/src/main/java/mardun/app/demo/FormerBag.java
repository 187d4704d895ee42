package mardun.app.demo;

import java.time.LocalDate;
import java.util.List;
import mardun.app.goods.GoodsService;
import mardun.app.goods.GoodsService.BagsFromBefore;

/**
 * A bag that was made before there was a book: it is known from a list.
 *
 * @param cost what one had cost, in cents
 * @param price for which one was sold, in cents
 * @param went how many of it went when eight of the best did
 */
record FormerBag(String design, String size, String cloth, long cost, long price, int went) {

    private static final float BEST_WENT = 8;

    static final List<FormerBag> ALL = List.of(
            new FormerBag("Heron pouch", "small", "Juniper Dot", 610, 1250, 8),
            new FormerBag("Heron pouch", "medium", "Reed Stripe", 790, 1600, 5),
            new FormerBag("Tern tote", "small", "Slate canvas", 1480, 2900, 3),
            new FormerBag("Wren wallet", "", "Saddle vinyl", 980, 2100, 4),
            new FormerBag("Puffin key fob", "", "Slate canvas", 150, 400, 7),
            new FormerBag("Dipper wash bag", "small", "Kelp linen", 820, 1800, 3));

    /** How many of it there are where there are so many of the best. */
    int share(int ofTheBest) {
        return Math.round(ofTheBest * went / BEST_WENT);
    }

    /** So many of it, at home. */
    BagsFromBefore made(int units, LocalDate finishedOn) {
        return new BagsFromBefore(design, size, cloth, units, cost, price, finishedOn, GoodsService.HOME);
    }

    String words() {
        return design + (size.isEmpty() ? "" : ", " + size) + ", " + cloth;
    }
}
