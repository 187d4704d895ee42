package mardun.core.material;

import java.util.List;
import java.util.Map;
import mardun.core.working.Figure;
import org.joda.money.Money;

/**
 * What to buy, and where.
 *
 * @param lines so many of each offer, shop by shop
 * @param postage of the shops that are bought from
 * @param total all lines and all postage
 * @param nowhere what no shop sells, by the key of the material
 */
public record Purchase(List<Line> lines, Map<String, Money> postage, Figure<Money> total, Map<String, Amount> nowhere) {

    /** So many packs of an offer. */
    public record Line(Offer offer, long packs, Money price) {

        public Amount amount() {
            return offer.content().times(packs);
        }
    }

    public Purchase {
        lines = List.copyOf(lines);
        postage = Map.copyOf(postage);
        nowhere = Map.copyOf(nowhere);
    }
}
