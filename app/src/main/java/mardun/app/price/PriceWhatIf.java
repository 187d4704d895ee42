package mardun.app.price;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.app.design.DesignService;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.price.PriceViews.WhatIfPrices;
import mardun.app.price.PriceViews.WhatIfSide;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.SchoolPrices;
import mardun.core.pricing.SchoolPrices.Priced;
import mardun.core.pricing.UnitTakes;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What would come of dearer cloth, another rate, fewer minutes, a larger batch or another channel; nothing of it is kept. */
@Service
class PriceWhatIf {

    private static final BigDecimal MOST_PERCENT = BigDecimal.valueOf(900);
    private static final BigDecimal LEAST_PERCENT = BigDecimal.valueOf(-90);
    private static final BigDecimal MOST_MINUTES = BigDecimal.valueOf(600);
    private static final BigDecimal MILLIS_PER_MINUTE = BigDecimal.valueOf(60_000);

    private final DesignService designs;
    private final BagCosts costs;
    private final ChannelService channels;
    private final SettingsService settings;

    PriceWhatIf(DesignService designs, BagCosts costs, ChannelService channels, SettingsService settings) {
        this.designs = designs;
        this.costs = costs;
        this.channels = channels;
        this.settings = settings;
    }

    /**
     * What is asked; each as typed, empty for as it is.
     *
     * @param price the price that is looked at
     * @param material dearer by so many per cent
     * @param rate an hour paid so much
     * @param faster each by so many minutes
     * @param units made so many at a time
     */
    record Asked(
            DesignId design,
            String size,
            @Nullable MaterialId cloth,
            @Nullable ChannelId channel,
            @Nullable ChannelId otherChannel,
            String price,
            String material,
            String rate,
            String faster,
            String units) {}

    @Transactional(readOnly = true)
    WhatIfPrices of(Asked asked) {
        Settings current = settings.current();
        FieldReader fields = new FieldReader();
        Money price = current.money(fields.money("price", asked.price(), current.currency()));
        Optional<BigDecimal> material =
                read(asked.material()).map(typed -> fields.decimal("material", typed, LEAST_PERCENT, MOST_PERCENT));
        Optional<Money> rate =
                read(asked.rate()).map(typed -> current.money(fields.money("rate", typed, current.currency())));
        Optional<BigDecimal> faster =
                read(asked.faster()).map(typed -> fields.decimal("faster", typed, MOST_MINUTES.negate(), MOST_MINUTES));
        Optional<Integer> units = read(asked.units()).map(typed -> fields.count("units", typed, 1, 10_000));
        fields.check();

        int usual = designs.document(asked.design()).usualUnits();
        UnitTakes now = takes(asked, usual);
        UnitTakes then = takes(asked, units.orElse(usual));
        List<String> changed = new ArrayList<>();
        ViewWriter writer = current.writer();
        if (units.isPresent() && units.get() != usual) {
            changed.add("made " + units.get() + " at a time and not " + usual);
        }
        if (material.isPresent() && material.get().signum() != 0) {
            then = then.dearer(material.get().movePointLeft(2));
            changed.add("material " + (material.get().signum() > 0 ? "dearer" : "cheaper") + " by "
                    + writer.decimal(material.get().abs()) + " %");
        }
        if (faster.isPresent() && faster.get().signum() != 0) {
            then = then.faster(Duration.ofMillis(faster.get()
                    .multiply(MILLIS_PER_MINUTE)
                    .setScale(0, RoundingMode.HALF_UP)
                    .longValueExact()));
            changed.add(writer.decimal(faster.get().abs()) + " min "
                    + (faster.get().signum() > 0 ? "faster" : "slower") + " each");
        }
        if (rate.isPresent()) {
            then = then.paid(rate.get());
            changed.add("an hour at " + writer.money(rate.get()).amount());
        }
        Channel here = channels.find(asked.channel()).channel(current.workroom().rates());
        Channel there = asked.otherChannel() == null
                ? here
                : channels.find(asked.otherChannel()).channel(current.workroom().rates());
        if (!there.name().equals(here.name())) {
            changed.add("sold through " + there.name());
        }
        PriceChoice choice = current.workroom()
                .prices()
                .forSort(designs.document(asked.design()).sort());
        return new WhatIfPrices(
                changed, side(now, here, price, choice, writer), side(then, there, price, choice, writer));
    }

    private static Optional<String> read(String typed) {
        return Optional.of(typed.strip()).filter(text -> !text.isEmpty());
    }

    private UnitTakes takes(Asked asked, int units) {
        return costs.takes(asked.design(), asked.size(), asked.cloth(), units);
    }

    private static WhatIfSide side(
            UnitTakes takes, Channel channel, Money price, PriceChoice choice, ViewWriter writer) {
        Priced priced = SchoolPrices.priced(choice.school(), price, takes, channel);
        return new WhatIfSide(
                takes.units(),
                writer.money(takes.full()),
                SchoolPrices.price(takes, channel, choice, Optional.empty())
                        .map(writer::money)
                        .orElse(null),
                writer.money(price),
                writer.money(priced.left()),
                priced.perHour().map(writer::money).orElse(null));
    }
}
