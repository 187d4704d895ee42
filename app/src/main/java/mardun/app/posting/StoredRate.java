package mardun.app.posting;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Optional;
import mardun.core.measure.Bulk;
import mardun.core.measure.Length;
import mardun.core.selling.PostageRate;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/** A row of the maker's postage table. */
@Entity
@Table(name = "postage_rate")
class StoredRate {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private int position;
    private String zone;
    private String name;
    private long mostNg;
    private @Nullable Long longestNm;
    private @Nullable Long middleNm;
    private @Nullable Long shortestNm;
    private long priceMinor;

    protected StoredRate() {}

    StoredRate(int position, PostageRate rate) {
        this.position = position;
        this.zone = rate.zone();
        this.name = rate.name();
        this.mostNg = rate.most().amount();
        this.longestNm = rate.longest().map(Length::nanometres).orElse(null);
        this.middleNm = rate.middle().map(Length::nanometres).orElse(null);
        this.shortestNm = rate.shortest().map(Length::nanometres).orElse(null);
        this.priceMinor = rate.price().getAmountMinorLong();
    }

    PostageRate rate(CurrencyUnit currency) {
        return new PostageRate(
                zone,
                name,
                new Bulk(Bulk.Kind.WEIGHT, mostNg),
                Optional.ofNullable(longestNm).map(Length::new),
                Optional.ofNullable(middleNm).map(Length::new),
                Optional.ofNullable(shortestNm).map(Length::new),
                Money.ofMinor(currency, priceMinor));
    }
}
