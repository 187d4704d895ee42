package mardun.app.settings;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/settings")
@Tag(name = "settings")
class SettingsController {

    private final SettingsService settings;
    private final Clock clock;

    SettingsController(SettingsService settings, Clock clock) {
        this.settings = settings;
        this.clock = clock;
    }

    @GetMapping
    SettingsForm readSettings() {
        return settings.form();
    }

    @PutMapping
    SettingsForm saveSettings(@RequestBody @Valid SettingsForm form) {
        return settings.save(form);
    }

    /** Today, for forms that begin with it. */
    @GetMapping("/today")
    TodayView readToday() {
        return new TodayView(LocalDate.now(clock));
    }
}
