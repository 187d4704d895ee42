package mardun.app.days;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import mardun.app.days.DayViews.DaysView;
import mardun.app.days.DayViews.MovedBatch;
import mardun.app.days.DayViews.WhatIfDay;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The days to come. */
@RestController
@RequestMapping("/api")
@Tag(name = "days")
class DaysController {

    private final DaysReading days;
    private final DaysCalendar calendar;
    private final NotedDays noted;

    DaysController(DaysReading days, DaysCalendar calendar, NotedDays noted) {
        this.days = days;
        this.calendar = calendar;
        this.noted = noted;
    }

    @GetMapping("/days")
    DaysView readDays(@RequestParam(defaultValue = "14") @Min(1) @Max(120) int count) {
        return days.days(count);
    }

    /** Takes note of the days as they are now; what moves from then on is told. */
    @PostMapping("/days/noted")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void noteDays() {
        noted.note();
    }

    /** What another length of a day would change. */
    @PostMapping("/days/what-if")
    List<MovedBatch> askWhatADayWouldChange(@RequestBody @Valid WhatIfDay form) {
        return days.whatIf(form);
    }

    /** The days as a calendar file: one event for each day of work, and one for each day on which something is due. */
    @GetMapping(value = "/days.ics", produces = "text/calendar")
    ResponseEntity<String> readCalendar() {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"mardun.ics\"")
                .body(calendar.file());
    }
}
