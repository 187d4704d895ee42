package mardun.app.selling;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import mardun.app.selling.StallViews.CashForm;
import mardun.app.selling.StallViews.CashView;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/cash")
@Tag(name = "stall")
class CashController {

    private final CashCounting counting;

    CashController(CashCounting counting) {
        this.counting = counting;
    }

    /** What coins and notes come to; nothing is stored. */
    @PostMapping("/counted")
    CashView countCash(@RequestBody @Valid CashForm form) {
        return counting.count(form);
    }
}
