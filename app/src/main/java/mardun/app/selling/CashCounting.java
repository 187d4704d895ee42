package mardun.app.selling;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.app.problem.FieldReader;
import mardun.app.selling.StallViews.CashForm;
import mardun.app.selling.StallViews.CashRow;
import mardun.app.selling.StallViews.CashView;
import mardun.app.selling.StallViews.CountedCoin;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.selling.Coins;
import org.springframework.stereotype.Component;

/** A cash box, counted by its coins and notes. */
@Component
class CashCounting {

    private static final int MOST = 100_000;

    private final SettingsService settings;

    CashCounting(SettingsService settings) {
        this.settings = settings;
    }

    /** What the coins and notes that were counted come to, each and together; those that weren't are none. */
    CashView count(CashForm form) {
        Settings current = settings.current();
        Coins coins = Coins.of(current.currency());
        Map<Long, Integer> counted = new LinkedHashMap<>();
        FieldReader fields = new FieldReader();
        for (int i = 0; i < form.counts().size(); i++) {
            CountedCoin one = form.counts().get(i);
            if (!coins.all().contains(one.minor())) {
                fields.refuse("counts." + i + ".minor", Long.toString(one.minor()), "There is no such coin or note.");
            } else if (!one.count().isBlank()) {
                counted.merge(one.minor(), fields.count("counts." + i + ".count", one.count(), 0, MOST), Integer::sum);
            }
        }
        fields.check();
        ViewWriter writer = current.writer();
        List<CashRow> rows = new ArrayList<>();
        coins.all()
                .forEach(one -> rows.add(new CashRow(
                        writer.money(one),
                        coins.notes().contains(one),
                        writer.money(coins.together(Map.of(one, counted.getOrDefault(one, 0)))))));
        return new CashView(rows, writer.money(coins.together(counted)));
    }
}
