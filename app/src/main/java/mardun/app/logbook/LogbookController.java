package mardun.app.logbook;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import mardun.app.id.BatchId;
import mardun.app.logbook.LogbookViews.CorrectionForm;
import mardun.app.logbook.LogbookViews.LogKind;
import mardun.app.logbook.LogbookViews.LogbookView;
import mardun.app.logbook.LogbookViews.LoggedTime;
import mardun.app.logbook.LogbookViews.Sitting;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/logbook")
@Tag(name = "logbook")
class LogbookController {

    private final LogbookService logbook;
    private final Corrections corrections;

    LogbookController(LogbookService logbook, Corrections corrections) {
        this.logbook = logbook;
        this.corrections = corrections;
    }

    /** Some days before one, the newest first, as far as some words are found in them. */
    @GetMapping
    LogbookView readLogbook(
            @RequestParam(required = false) @Nullable LocalDate before,
            @RequestParam(defaultValue = "") @Size(max = 120) String query,
            @RequestParam(required = false) @Nullable LogKind kind) {
        return logbook.read(before, query, kind);
    }

    /** What was logged of one step of a line on one day, one by one. */
    @GetMapping("/times")
    List<LoggedTime> listTimes(
            @RequestParam BatchId batch,
            @RequestParam int line,
            @RequestParam @Size(max = 300) String step,
            @RequestParam LocalDate day) {
        return logbook.times(new Sitting(batch, line, step, day));
    }

    /** A time isn't as it was measured: it is put right or left out, with a reason. */
    @PostMapping("/corrections")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void correctTime(@RequestBody @Valid CorrectionForm form) {
        corrections.correct(form);
    }
}
