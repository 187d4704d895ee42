package mardun.app.demo;

import java.time.LocalDate;
import java.util.List;
import mardun.app.season.SeasonService;
import mardun.app.season.SeasonViews.SeasonForm;
import mardun.app.season.SeasonViews.SeasonOccasion;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** What the invented workroom asks of its plan: hand warmers are bought for Advent, and hardly afterwards. */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoSeason {

    private final SeasonService seasons;
    private final DemoDesigns designs;

    DemoSeason(SeasonService seasons, DemoDesigns designs) {
        this.seasons = seasons;
        this.designs = designs;
    }

    void enter(LocalDate today) {
        SeasonForm form = seasons.form();
        seasons.ask(form.with(
                List.of(new SeasonOccasion(designs.idOf("Eider hand warmer"), "Advent", today.plusDays(11), "15")),
                form.atLeast()));
    }
}
