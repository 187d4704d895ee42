package mardun.app.calendar;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.time.LocalDate;
import java.util.List;
import mardun.app.calendar.FreeDayViews.FreeDayForm;
import mardun.app.calendar.FreeDayViews.FreeDayView;
import mardun.app.calendar.FreeDayViews.FreeDaysForm;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Days on which there is more or less time than usual. Each change is of one day as a whole, so saying it twice says it once. */
@RestController
@RequestMapping("/api/free-days")
@Tag(name = "days")
class FreeDayController {

    private final FreeDays days;

    FreeDayController(FreeDays days) {
        this.days = days;
    }

    @GetMapping
    List<FreeDayView> listFreeDays() {
        return days.list();
    }

    @PostMapping
    List<FreeDayView> changeFreeDays(@RequestBody @Valid FreeDaysForm form) {
        days.setAll(form.from(), form.to(), form.each());
        return days.list();
    }

    @PutMapping("/{day}")
    List<FreeDayView> changeFreeDay(
            @PathVariable @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate day,
            @RequestBody @Valid FreeDayForm form) {
        days.set(day, form);
        return days.list();
    }

    @DeleteMapping("/{day}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeFreeDay(@PathVariable @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate day) {
        days.unset(day);
    }
}
