package mardun.app.price;

import java.math.BigDecimal;
import java.util.Optional;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.price.PriceViews.BargainView;
import mardun.app.price.PriceViews.BargainsView;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.pricing.Bargain;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceRounding;
import mardun.core.pricing.Terms;
import mardun.core.pricing.UnitTakes;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a set, free postage, or letting a bag go at the day's end would leave; nothing of it is kept. */
@Service
class PriceBargains {

    private static final int MOST_TOGETHER = 100;
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    private final BagCosts costs;
    private final ChannelService channels;
    private final SettingsService settings;

    PriceBargains(BagCosts costs, ChannelService channels, SettingsService settings) {
        this.costs = costs;
        this.channels = channels;
        this.settings = settings;
    }

    /**
     * What is asked; each as typed, empty for not asked.
     *
     * @param price the price that is looked at
     * @param units so many together
     * @param together their price together
     * @param later where it would be sold later
     * @param laterPrice at what price
     * @param likelihood how likely it is sold then, in per cent
     */
    record Asked(
            DesignId design,
            String size,
            @Nullable MaterialId cloth,
            @Nullable ChannelId channel,
            String price,
            String units,
            String together,
            @Nullable ChannelId later,
            String laterPrice,
            String likelihood) {}

    @Transactional(readOnly = true)
    BargainsView of(Asked asked) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        FieldReader fields = new FieldReader();
        Money price = current.money(fields.money("price", asked.price(), current.currency()));
        boolean isSet = !asked.units().isBlank() && !asked.together().isBlank();
        int units = isSet ? fields.count("units", asked.units(), 1, MOST_TOGETHER) : 1;
        Money together = current.money(isSet ? fields.money("together", asked.together(), current.currency()) : 0);
        boolean isLater = asked.later() != null && !asked.laterPrice().isBlank();
        Money laterPrice =
                current.money(isLater ? fields.money("laterPrice", asked.laterPrice(), current.currency()) : 0);
        BigDecimal likelihood = isLater
                ? fields.decimal("likelihood", asked.likelihood(), BigDecimal.ZERO, HUNDRED)
                        .movePointLeft(2)
                : BigDecimal.ONE;
        fields.check();
        UnitTakes takes = costs.takes(asked.design(), asked.size(), asked.cloth(), null);
        Terms here = terms(asked.channel(), current);
        Optional<Money> least = isLater
                ? Bargain.leastToday(
                        here, terms(asked.later(), current), laterPrice, likelihood, PriceRounding.up(PricePoint.EXACT))
                : Optional.empty();
        return new BargainsView(
                isSet ? view(Bargain.together(units, together, takes, here), writer) : null,
                here.postagePaid().isZero() ? null : view(Bargain.postedFree(price, takes, here), writer),
                least.map(writer::money).orElse(null),
                isLater && least.isEmpty());
    }

    private Terms terms(@Nullable ChannelId id, Settings current) {
        return channels.find(id).channel(current.workroom().rates()).terms();
    }

    private static BargainView view(Bargain bargain, ViewWriter writer) {
        return new BargainView(
                writer.money(bargain.left()),
                bargain.perHour().map(writer::money).orElse(null));
    }
}
