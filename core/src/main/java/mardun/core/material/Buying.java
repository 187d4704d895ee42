package mardun.core.material;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * The cheapest way to buy what is needed, in the packs that shops sell and with one postage for each shop. Exact: every
 * choice of shops is tried, and for each the cheapest mix of packs of every material. Shops without postage are always
 * in. What is bought by length comes from one shop, so that it is one piece of one dye. With more than
 * {@value #MOST_SHOPS_WITH_POSTAGE} shops that have a postage, those that sell the fewest needed materials are only
 * asked for what nobody else sells.
 */
public final class Buying {

    static final int MOST_SHOPS_WITH_POSTAGE = 10;

    private final Map<String, Amount> needs;
    private final List<Offer> offers;
    private final Map<String, List<Offer>> offersByMaterial;
    private final Map<String, Money> postage;
    private final CurrencyUnit currency;
    private final Map<String, Map<Set<String>, Optional<PackMix.Mix>>> known = new HashMap<>();

    private Buying(Map<String, Amount> needs, List<Offer> offers, Map<String, Money> postage, CurrencyUnit currency) {
        this.needs = needs;
        this.offers = offers;
        this.offersByMaterial = offers.stream().collect(Collectors.groupingBy(Offer::material));
        this.postage = postage;
        this.currency = currency;
    }

    /**
     * The cheapest purchase.
     *
     * @param needs positive amounts by the keys of the materials
     * @param offers what shops sell; those of materials that aren't needed are left aside
     * @param postage once for each shop that is bought from, by its key; a shop that isn't named has none
     */
    public static Purchase cheapest(
            Map<String, Amount> needs, List<Offer> offers, Map<String, Money> postage, CurrencyUnit currency) {
        List<Offer> wanted = offers.stream()
                .filter(offer -> needs.containsKey(offer.material()))
                .toList();
        return new Buying(needs, wanted, postage, currency).best();
    }

    /** A choice of shops with what it comes to. */
    private record Choice(Set<String> shops, Map<String, PackMix.Mix> mixes, long totalMinor) {}

    private Purchase best() {
        Map<String, Amount> nowhere = new LinkedHashMap<>();
        Map<String, Amount> sold = new LinkedHashMap<>();
        needs.forEach((material, amount) -> (offersOf(material).isEmpty() ? nowhere : sold).put(material, amount));
        Set<String> free = shops().stream()
                .filter(shop -> postageOf(shop) == 0)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        List<String> charging = shops().stream()
                .filter(shop -> postageOf(shop) > 0)
                .sorted(Comparator.comparingLong(this::materialsOf).reversed())
                .toList();
        List<String> tried = charging.subList(0, Math.min(charging.size(), MOST_SHOPS_WITH_POSTAGE));
        Set<String> always = new LinkedHashSet<>(free);
        always.addAll(charging.subList(tried.size(), charging.size()));
        Set<String> preferred = new LinkedHashSet<>(free);
        preferred.addAll(tried);
        askTheOthersOnlyForTheRest(preferred);
        Choice best = null;
        for (int choice = 0; choice < 1 << tried.size(); choice++) {
            Set<String> shops = new LinkedHashSet<>(always);
            for (int i = 0; i < tried.size(); i++) {
                if ((choice >> i & 1) == 1) {
                    shops.add(tried.get(i));
                }
            }
            Optional<Choice> priced = priced(shops, sold);
            if (priced.isPresent() && (best == null || priced.get().totalMinor() < best.totalMinor())) {
                best = priced.get();
            }
        }
        if (best == null) {
            throw new IllegalStateException("all shops together don't sell what some shop sells");
        }
        return purchase(best, nowhere);
    }

    private void askTheOthersOnlyForTheRest(Set<String> preferred) {
        offersByMaterial.replaceAll((material, all) -> {
            List<Offer> ofPreferred = all.stream()
                    .filter(offer -> preferred.contains(offer.supplier()))
                    .toList();
            return ofPreferred.isEmpty() ? all : ofPreferred;
        });
    }

    private Set<String> shops() {
        return offers.stream().map(Offer::supplier).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private long materialsOf(String shop) {
        return offers.stream()
                .filter(offer -> offer.supplier().equals(shop))
                .map(Offer::material)
                .distinct()
                .count();
    }

    private long postageOf(String shop) {
        return Optional.ofNullable(postage.get(shop))
                .map(Money::getAmountMinorLong)
                .orElse(0L);
    }

    private List<Offer> offersOf(String material) {
        return offersByMaterial.getOrDefault(material, List.of());
    }

    /** What these shops come to; empty if they don't sell all of it. Only shops that are really bought from count. */
    private Optional<Choice> priced(Set<String> shops, Map<String, Amount> sold) {
        Map<String, PackMix.Mix> mixes = new LinkedHashMap<>();
        long total = 0;
        for (Map.Entry<String, Amount> need : sold.entrySet()) {
            Optional<PackMix.Mix> mix = mix(need.getKey(), need.getValue(), shops);
            if (mix.isEmpty()) {
                return Optional.empty();
            }
            mixes.put(need.getKey(), mix.get());
            total = Math.addExact(total, mix.get().priceMinor());
        }
        Set<String> used = mixes.values().stream()
                .flatMap(mix -> mix.counts().stream())
                .map(count -> count.offer().supplier())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        for (String shop : used) {
            total = Math.addExact(total, postageOf(shop));
        }
        return Optional.of(new Choice(used, mixes, total));
    }

    private Optional<PackMix.Mix> mix(String material, Amount needed, Set<String> shops) {
        List<Offer> available = offersOf(material).stream()
                .filter(offer -> shops.contains(offer.supplier()))
                .toList();
        Set<String> own = available.stream().map(Offer::supplier).collect(Collectors.toSet());
        return known.computeIfAbsent(material, m -> new HashMap<>())
                .computeIfAbsent(
                        own,
                        s -> needed.counting() == Counting.LENGTH
                                ? fromOneShop(needed, available)
                                : PackMix.cheapest(needed.value(), available));
    }

    private static Optional<PackMix.Mix> fromOneShop(Amount needed, List<Offer> available) {
        return available.stream().collect(Collectors.groupingBy(Offer::supplier)).values().stream()
                .flatMap(ofOneShop -> PackMix.cheapest(needed.value(), ofOneShop).stream())
                .min(PackMix.Mix.CHEAPEST);
    }

    private Purchase purchase(Choice choice, Map<String, Amount> nowhere) {
        List<Purchase.Line> lines = new ArrayList<>();
        choice.mixes()
                .values()
                .forEach(mix -> mix.counts()
                        .forEach(count -> lines.add(new Purchase.Line(
                                count.offer(),
                                count.packs(),
                                count.offer().price().multipliedBy(count.packs())))));
        lines.sort(Comparator.comparing(line -> line.offer().supplier()));
        Map<String, Money> charged = new LinkedHashMap<>();
        choice.shops().forEach(shop -> charged.put(shop, Money.ofMinor(currency, postageOf(shop))));
        Money goods = lines.stream().map(Purchase.Line::price).reduce(Money.zero(currency), Money::plus);
        Money post = charged.values().stream().reduce(Money.zero(currency), Money::plus);
        Money total = goods.plus(post);
        Working told = Working.of(
                        "The cheapest mix of packs from the shops, with one postage for each shop: every other"
                                + " choice of packs and shops that holds as much costs as much or more.")
                .expression("{packs} + {postage}")
                .input("packs", "all packs", Value.of(goods))
                .input("postage", "postage", Value.of(post))
                .gives(Value.of(total));
        return new Purchase(lines, charged, new Figure<>(total, told), nowhere);
    }
}
