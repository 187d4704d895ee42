package mardun.app.season;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import mardun.app.season.SeasonViews.SeasonBatch;
import mardun.app.season.SeasonViews.SeasonBatchForm;
import mardun.app.season.SeasonViews.SeasonForm;
import mardun.app.season.SeasonViews.SeasonLaidOut;
import mardun.app.season.SeasonViews.SeasonPlanView;
import mardun.app.season.SeasonViews.SeasonTried;
import mardun.app.season.SeasonViews.SeasonTry;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/season-plan")
@Tag(name = "season")
class SeasonController {

    private final SeasonService seasons;

    SeasonController(SeasonService seasons) {
        this.seasons = seasons;
    }

    @GetMapping
    SeasonPlanView readSeasonPlan() {
        return seasons.get();
    }

    @PutMapping
    SeasonPlanView askSeasonPlan(@Valid @RequestBody SeasonForm form) {
        seasons.ask(form);
        return seasons.get();
    }

    /** What numbers leave that are tried by hand; nothing is stored. */
    @PostMapping("/try")
    SeasonTried trySeasonNumbers(@Valid @RequestBody SeasonTry form) {
        return seasons.tryOut(form);
    }

    /** What numbers take as one batch: of the shelf, and of the coming days; nothing is stored. */
    @PostMapping("/laid-out")
    SeasonLaidOut layOutSeasonNumbers(@Valid @RequestBody SeasonTry form) {
        return seasons.layOut(form);
    }

    @PostMapping("/batch")
    @ResponseStatus(HttpStatus.CREATED)
    SeasonBatch makeSeasonBatch(@Valid @RequestBody SeasonBatchForm form) {
        return new SeasonBatch(seasons.batch(form));
    }
}
