package mardun.app.upkeep;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import mardun.app.upkeep.UpkeepViews.DoneForm;
import mardun.app.upkeep.UpkeepViews.LimitsForm;
import mardun.app.upkeep.UpkeepViews.UpkeepView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/upkeep")
@Tag(name = "upkeep")
class UpkeepController {

    private final UpkeepService upkeep;

    UpkeepController(UpkeepService upkeep) {
        this.upkeep = upkeep;
    }

    @GetMapping
    UpkeepView readUpkeep() {
        return upkeep.view();
    }

    /** Something was changed or cared for. */
    @PostMapping
    UpkeepView noteUpkeep(@RequestBody @Valid DoneForm form) {
        upkeep.done(form);
        return upkeep.view();
    }

    /** After how much things are changed from now on. */
    @PutMapping("/limits")
    UpkeepView changeLimits(@RequestBody @Valid LimitsForm form) {
        upkeep.limit(form);
        return upkeep.view();
    }
}
