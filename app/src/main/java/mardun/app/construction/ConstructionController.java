package mardun.app.construction;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import mardun.app.construction.ConstructionViews.ConstructionsView;
import mardun.app.construction.ConstructionViews.RuleAnswer;
import mardun.app.construction.ConstructionViews.RuleQuestion;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/constructions")
@Tag(name = "constructions")
class ConstructionController {

    private final ConstructionService constructions;

    ConstructionController(ConstructionService constructions) {
        this.constructions = constructions;
    }

    @GetMapping
    ConstructionsView listConstructions() {
        return constructions.all();
    }

    @PostMapping("/worked")
    RuleAnswer workConstruction(@RequestBody @Valid RuleQuestion question) {
        return constructions.work(question);
    }
}
