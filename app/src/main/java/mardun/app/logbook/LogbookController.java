package mardun.app.logbook;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.logbook.FigureViews.FiguresView;
import mardun.app.logbook.FigureViews.StepTimesView;
import mardun.app.logbook.LogbookViews.CorrectionForm;
import mardun.app.logbook.LogbookViews.LogKind;
import mardun.app.logbook.LogbookViews.LogbookView;
import mardun.app.logbook.LogbookViews.LoggedTime;
import mardun.app.logbook.LogbookViews.Sitting;
import mardun.app.show.CsvSheet;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
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
    private final LogbookFigures figures;
    private final LogbookSheet sheet;

    LogbookController(LogbookService logbook, Corrections corrections, LogbookFigures figures, LogbookSheet sheet) {
        this.logbook = logbook;
        this.corrections = corrections;
        this.figures = figures;
        this.sheet = sheet;
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

    /** What the last weeks add up to. */
    @GetMapping("/figures")
    FiguresView readFigures(@RequestParam(defaultValue = "26") @Min(1) @Max(530) int weeks) {
        return figures.of(weeks);
    }

    /** How long a step of a design took, and how long it is reckoned with. */
    @GetMapping("/step-times")
    StepTimesView readStepTimes(@RequestParam DesignId design, @RequestParam @Size(max = 300) String step) {
        return figures.stepTimes(design, step);
    }

    /** All that was logged at the bench, touch by touch. */
    @GetMapping(path = "/bench-log.csv", produces = CsvSheet.MEDIA_TYPE)
    ResponseEntity<String> exportBenchLog() {
        return CsvSheet.download("bench-log.csv", sheet.write());
    }
}
