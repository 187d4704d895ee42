package mardun.core.season;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.TreeMap;

/** Seasons that are made up for tests. */
final class MadeUpSeason {

    private MadeUpSeason() {}

    /** An item of a design in a cloth, of which 0.3 m go into each, on offer for two years. */
    static SeasonItem item(String design, String cloth, double price, double minutes) {
        return new SeasonItem(
                design + " " + cloth,
                design,
                "pouch",
                "one",
                cloth,
                price,
                price * 0.95,
                price * 0.85,
                1,
                minutes,
                20,
                Map.of(cloth, 0.3),
                1,
                0,
                OptionalInt.of(-104),
                OptionalInt.empty(),
                OptionalInt.empty(),
                0,
                2,
                1,
                1);
    }

    static SeasonItem withStock(SeasonItem item, int stock, int space) {
        return with(item, stock, space, item.lastDay(), item.atLeast(), item.fading(), item.judgement());
    }

    static SeasonItem withFading(SeasonItem item, double fading) {
        return with(item, item.stock(), item.space(), item.lastDay(), item.atLeast(), fading, item.judgement());
    }

    static SeasonItem withJudgement(SeasonItem item, double judgement) {
        return with(item, item.stock(), item.space(), item.lastDay(), item.atLeast(), item.fading(), judgement);
    }

    static SeasonItem wantedUntil(SeasonItem item, int day) {
        return with(
                item, item.stock(), item.space(), OptionalInt.of(day), item.atLeast(), item.fading(), item.judgement());
    }

    static SeasonItem atLeast(SeasonItem item, int pieces) {
        return with(item, item.stock(), item.space(), item.lastDay(), pieces, item.fading(), item.judgement());
    }

    private static SeasonItem with(
            SeasonItem item, int stock, int space, OptionalInt lastDay, int atLeast, double fading, double judgement) {
        return new SeasonItem(
                item.id(),
                item.design(),
                item.kind(),
                item.size(),
                item.cloth(),
                item.price(),
                item.netAtFair(),
                item.netOnline(),
                item.trimCost(),
                item.minutes(),
                item.setUpMinutes(),
                item.clothUse(),
                space,
                stock,
                item.since(),
                lastDay,
                item.licence(),
                atLeast,
                item.worthUnsold(),
                fading,
                judgement);
    }

    static SeasonLimits limits(double hours, double money, List<SeasonItem> items) {
        Map<String, SeasonLimits.Cloth> cloth = new TreeMap<>();
        items.forEach(item -> cloth.put(item.cloth(), new SeasonLimits.Cloth(2, OptionalDouble.of(10), 0)));
        return new SeasonLimits(hours, money, OptionalInt.empty(), cloth);
    }

    static ComingEvent fair(int week, int table) {
        return new ComingEvent(Outlet.FAIR, "the spring fair", week, 7 * (week - 1), 5, "medium", false, table);
    }

    static ComingEvent shop(int week) {
        return new ComingEvent(Outlet.ONLINE, "", week, 7 * (week - 1), 5, "", false, 0);
    }

    static PastEvent fair(int week, List<PastEvent.Line> lines) {
        return new PastEvent(Outlet.FAIR, "the spring fair", week, 5, 8, "medium", false, "dry", lines);
    }

    /** A day's line of an item: what was sold of what was brought by buyers that come at a rate, and when the last one went. */
    static PastEvent.Line day(int item, int brought, double rate, double price, boolean isNoted, Random random) {
        double at = 0;
        int sold = 0;
        while (sold < brought) {
            at -= Math.log(1 - random.nextDouble()) / rate;
            if (at > 1) {
                break;
            }
            sold++;
        }
        OptionalDouble hour =
                sold == brought && isNoted ? OptionalDouble.of(Math.min(at, 1) * 8) : OptionalDouble.empty();
        return new PastEvent.Line(item, brought, sold, hour, price);
    }

    /** Two designs in two cloths each, some fairs behind and two ahead; all else by chance. */
    static Season any(long seed) {
        Random random = new Random(seed);
        List<SeasonItem> items = new ArrayList<>();
        for (String design : List.of("fold", "roll")) {
            for (String cloth : List.of("red", "blue")) {
                items.add(withStock(
                        item(design, cloth, 10 + random.nextInt(15), 15 + random.nextInt(30)),
                        random.nextInt(3),
                        1 + random.nextInt(2)));
            }
        }
        List<PastEvent> past = new ArrayList<>();
        for (int week = -60; week < 0; week += 10) {
            List<PastEvent.Line> lines = new ArrayList<>();
            for (int item = 0; item < items.size(); item++) {
                lines.add(day(
                        item, 1 + random.nextInt(6), 0.5 + 4 * random.nextDouble(), 12, random.nextBoolean(), random));
            }
            past.add(fair(week, lines));
        }
        return new Season(
                items,
                limits(2 + 10 * random.nextDouble(), 20 + 100 * random.nextDouble(), items),
                past,
                List.of(shop(1), fair(1, 5 + random.nextInt(20)), shop(2), fair(2, 20)));
    }
}
