package mardun.app.ticket;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Currency;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import mardun.app.show.ViewWriter;
import org.joda.money.Money;

/** A price as buyers read it: with the sign of its currency, or its letters where it has no sign of its own. */
final class PriceText {

    private static final Set<String> COUNTRIES = Set.of(Locale.getISOCountries());
    private static final Map<String, String> SIGNS = new ConcurrentHashMap<>();

    private PriceText() {}

    static String of(Money price, ViewWriter writer) {
        String sign = SIGNS.computeIfAbsent(price.getCurrencyUnit().getCode(), PriceText::sign);
        String amount = writer.money(price).amount();
        return sign.codePoints().anyMatch(Character::isLetter) ? amount + " " + sign : sign + amount;
    }

    /** The shortest one that the currency has in a country where it is paid with. */
    private static String sign(String code) {
        Currency currency = Currency.getInstance(code);
        return Arrays.stream(Locale.getAvailableLocales())
                .filter(locale -> COUNTRIES.contains(locale.getCountry()))
                .filter(locale -> currency.equals(Currency.getInstance(locale)))
                .map(locale -> Normalizer.normalize(currency.getSymbol(locale), Normalizer.Form.NFKC))
                .filter(sign -> sign.codePoints().noneMatch(Character::isLetter))
                .min(Comparator.comparing(String::length).thenComparing(Comparator.naturalOrder()))
                .orElse(code);
    }
}
