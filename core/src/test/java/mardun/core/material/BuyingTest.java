package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class BuyingTest {

    private static Offer pack(String material, String shop, long content, long price) {
        return new Offer(
                material + " of " + content + " at " + shop, material, shop, amount(material, content), eur(price));
    }

    private static Amount amount(String material, long value) {
        return new Amount(material.equals("cloth") ? Counting.LENGTH : Counting.PIECES, value);
    }

    private static Money eur(long minor) {
        return Money.ofMinor(CurrencyUnit.EUR, minor);
    }

    private static Purchase buy(Map<String, Amount> needs, List<Offer> offers, Map<String, Money> postage) {
        return Buying.cheapest(needs, offers, postage, CurrencyUnit.EUR);
    }

    private static String said(Purchase purchase) {
        return purchase.lines().stream()
                .map(line -> line.packs() + "×" + line.offer().content().value())
                .collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource({
        // 37 rings from cards of 5, 10 and 50
        "37, 120, 200, 900, 4×10,      800",
        "37, 120, 220, 800, 1×50,      800",
        "41, 120, 200, 990, 4×10 1×5,  920",
        "1,  120, 200, 900, 1×5,       120",
        "50, 120, 200, 900, 1×50,      900",
        // fifty for the price of ten: nobody buys tens
        "12, 120, 200, 200, 1×50,      200",
        // the same money: fewer packs
        "10, 100, 200, 900, 1×10,      200"
    })
    void theCheapestMixOfCards(long rings, long five, long ten, long fifty, String mix, long total) {
        List<Offer> cards =
                List.of(pack("ring", "shop", 5, five), pack("ring", "shop", 10, ten), pack("ring", "shop", 50, fifty));
        Purchase purchase = buy(Map.of("ring", Amount.pieces(rings)), cards, Map.of());
        assertThat(said(purchase)).isEqualTo(mix);
        assertThat(purchase.total().value()).isEqualTo(eur(total));
    }

    @Test
    void onePostageForEachShopMayMakeTheDearerCardTheCheaperWay() {
        List<Offer> offers = List.of(
                pack("ring", "near", 10, 300),
                pack("ring", "far", 10, 200),
                pack("clip", "near", 10, 400),
                pack("clip", "far", 10, 390));
        Map<String, Amount> needs = new LinkedHashMap<>();
        needs.put("ring", Amount.pieces(20));
        needs.put("clip", Amount.pieces(10));
        Purchase small = buy(needs, offers, Map.of("far", eur(490)));
        assertThat(small.lines()).allMatch(line -> line.offer().supplier().equals("near"));
        assertThat(small.total().value()).isEqualTo(eur(1000));
        needs.put("ring", Amount.pieces(80));
        Purchase large = buy(needs, offers, Map.of("far", eur(490)));
        assertThat(large.lines()).allMatch(line -> line.offer().supplier().equals("far"));
        assertThat(large.postage()).containsEntry("far", eur(490));
        assertThat(large.total().value()).isEqualTo(eur(8 * 200 + 390 + 490));
    }

    @Test
    void clothIsBoughtByTheStepThatIsSold() {
        Amount halfMetre = Amount.of(LengthReader.read("0.5 m", LengthUnit.METRE));
        Amount needed = Amount.of(LengthReader.read("1 yd 20 in", LengthUnit.YARD));
        Purchase purchase = buy(
                Map.of("cloth", needed), List.of(new Offer("half", "cloth", "shop", halfMetre, eur(640))), Map.of());
        assertThat(purchase.lines().get(0).packs()).isEqualTo(3);
        assertThat(purchase.lines().get(0).amount()).isEqualTo(Amount.of(LengthReader.read("1.5 m", LengthUnit.METRE)));
    }

    /** Lengths that have nothing in common make millions of sums; most can't become the cheapest. */
    @Test
    void aKilometreFromOddLengthsIsAnsweredAtOnce() {
        List<Offer> lengths = new ArrayList<>();
        for (String[] one : List.of(
                new String[] {"37 cm", "119"},
                new String[] {"1 yd", "260"},
                new String[] {"0.5 m", "149"},
                new String[] {"3 1/7 yd", "790"},
                new String[] {"5.3 m", "1390"})) {
            lengths.add(new Offer(
                    one[0],
                    "tape",
                    "shop",
                    Amount.of(LengthReader.read(one[0], LengthUnit.METRE)),
                    eur(Long.parseLong(one[1]))));
        }
        Amount needed = Amount.of(LengthReader.read("999.99 m", LengthUnit.METRE));
        Purchase purchase =
                assertTimeoutPreemptively(Duration.ofSeconds(20), () -> buy(Map.of("tape", needed), lengths, Map.of()));
        long bought = purchase.lines().stream()
                .mapToLong(line -> line.amount().value())
                .sum();
        assertThat(bought).isGreaterThanOrEqualTo(needed.value());
        // nothing is sold for less than 790 the 3 1/7 yd
        assertThat(purchase.total().value().getAmountMinorLong()).isBetween(260_000L, 276_000L);
    }

    @Test
    void aClothIsNotPiecedTogetherFromTwoShops() {
        List<Offer> offers = List.of(pack("cloth", "near", 5, 60), pack("cloth", "far", 9, 100));
        assertThat(said(buy(Map.of("cloth", amount("cloth", 14)), offers, Map.of())))
                .isEqualTo("3×5");
        List<Offer> rings = List.of(pack("ring", "near", 5, 60), pack("ring", "far", 9, 100));
        assertThat(said(buy(Map.of("ring", Amount.pieces(14)), rings, Map.of())))
                .isEqualTo("1×9 1×5");
    }

    @Test
    void aMillionPiecesFromSmallCardsAreAnsweredInTime() {
        List<Offer> cards =
                List.of(pack("ring", "shop", 7, 71), pack("ring", "shop", 11, 109), pack("ring", "shop", 3, 33));
        Purchase purchase = assertTimeoutPreemptively(
                Duration.ofSeconds(40), () -> buy(Map.of("ring", Amount.pieces(1_000_000)), cards, Map.of()));
        assertThat(purchase.total().value().getAmountMinorLong()).isBetween(9_909_090L, 9_909_200L);
    }

    @Test
    void ofVeryManyShopsTheSmallestAreAskedOnlyForWhatTheOthersLack() {
        List<Offer> offers = new ArrayList<>();
        Map<String, Money> postage = new LinkedHashMap<>();
        for (int i = 0; i < Buying.MOST_SHOPS_WITH_POSTAGE; i++) {
            String shop = "shop " + i;
            offers.add(pack("ring", shop, 10, 300 - i));
            offers.add(pack("clip", shop, 10, 300 - i));
            offers.add(pack("hook", shop, 10, 300 - i));
            postage.put(shop, eur(200));
        }
        offers.add(pack("ring", "small", 10, 1));
        offers.add(pack("bell", "small", 10, 50));
        postage.put("small", eur(200));
        Map<String, Amount> needs = new LinkedHashMap<>();
        List.of("ring", "clip", "hook", "bell").forEach(material -> needs.put(material, Amount.pieces(10)));
        Purchase purchase = buy(needs, offers, postage);
        assertThat(purchase.lines())
                .filteredOn(line -> line.offer().supplier().equals("small"))
                .extracting(line -> line.offer().material())
                .containsExactly("bell");
        assertThat(purchase.total().value()).isEqualTo(eur(3 * 291 + 200 + 50 + 200));
    }

    @Test
    void whatNobodySellsIsSaid() {
        Purchase purchase = buy(
                Map.of("ring", Amount.pieces(3), "moon", Amount.pieces(1)),
                List.of(pack("ring", "shop", 5, 100), pack("bell", "shop", 5, 1)),
                Map.of());
        assertThat(purchase.nowhere()).containsOnlyKeys("moon");
        assertThat(said(purchase)).isEqualTo("1×5");
        assertThat(buy(Map.of(), List.of(), Map.of()).total().value()).isEqualTo(eur(0));
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4})
    void noOtherChoiceIsCheaper(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 60; i++) {
            List<String> shops = List.of("a", "b", "c");
            Map<String, Money> postage = Map.of("a", eur(random.nextInt(400)), "b", eur(random.nextInt(400)));
            List<Offer> offers = new ArrayList<>();
            Map<String, Amount> needs = new LinkedHashMap<>();
            for (String material : List.of("ring", "cloth")) {
                needs.put(material, amount(material, 1 + random.nextInt(20)));
                for (int k = 0; k < 3; k++) {
                    offers.add(pack(
                            material, shops.get(random.nextInt(3)), 1 + random.nextInt(9), 50 + random.nextInt(500)));
                }
            }
            Purchase purchase = buy(needs, offers, postage);
            assertThat(purchase.total().value().getAmountMinorLong())
                    .as("%s from %s, postage %s", needs, offers, postage)
                    .isEqualTo(bruteForce(needs, offers, postage));
            for (Map.Entry<String, Amount> need : needs.entrySet()) {
                long bought = purchase.lines().stream()
                        .filter(line -> line.offer().material().equals(need.getKey()))
                        .mapToLong(line -> line.amount().value())
                        .sum();
                assertThat(bought).isGreaterThanOrEqualTo(need.getValue().value());
            }
        }
    }

    /** Every number of every pack, as far as more can't help. */
    private static long bruteForce(Map<String, Amount> needs, List<Offer> offers, Map<String, Money> postage) {
        return tryOut(needs, offers, postage, 0, new long[offers.size()]);
    }

    private static long tryOut(
            Map<String, Amount> needs, List<Offer> offers, Map<String, Money> postage, int at, long[] packs) {
        if (at == offers.size()) {
            return cost(needs, offers, postage, packs);
        }
        long best = Long.MAX_VALUE;
        Offer offer = offers.get(at);
        long most = (needs.get(offer.material()).value() + offer.content().value() - 1)
                / offer.content().value();
        for (long count = 0; count <= most; count++) {
            packs[at] = count;
            best = Math.min(best, tryOut(needs, offers, postage, at + 1, packs));
        }
        packs[at] = 0;
        return best;
    }

    private static long cost(Map<String, Amount> needs, List<Offer> offers, Map<String, Money> postage, long[] packs) {
        Map<String, Long> got = new LinkedHashMap<>();
        long cost = 0;
        List<String> shops = new ArrayList<>();
        for (int i = 0; i < packs.length; i++) {
            Offer offer = offers.get(i);
            got.merge(offer.material(), packs[i] * offer.content().value(), Long::sum);
            cost += packs[i] * offer.price().getAmountMinorLong();
            if (packs[i] > 0 && !shops.contains(offer.supplier())) {
                shops.add(offer.supplier());
                cost += postage.getOrDefault(offer.supplier(), eur(0)).getAmountMinorLong();
            }
        }
        boolean enough = needs.entrySet().stream()
                .allMatch(need ->
                        got.getOrDefault(need.getKey(), 0L) >= need.getValue().value());
        boolean oneCloth = IntStream.range(0, packs.length)
                        .filter(i -> packs[i] > 0 && offers.get(i).material().equals("cloth"))
                        .mapToObj(i -> offers.get(i).supplier())
                        .distinct()
                        .count()
                <= 1;
        return enough && oneCloth ? cost : Long.MAX_VALUE;
    }
}
