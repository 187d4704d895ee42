package mardun.app.settings;

import io.swagger.v3.oas.annotations.tags.Tag;
import mardun.app.problem.FieldReader;
import mardun.app.show.Views.LengthView;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.ShownRounding;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reads a measure back as it is typed, in both units. */
@RestController
@RequestMapping("/api/measures")
@Tag(name = "measures")
class MeasureController {

    private final SettingsService settings;

    MeasureController(SettingsService settings) {
        this.settings = settings;
    }

    /** What {@code text} says; a bare number counts in inches or centimetres, or in yards or metres for cloth. */
    @GetMapping
    LengthView readMeasure(@RequestParam String text, @RequestParam(defaultValue = "false") boolean cloth) {
        Settings current = settings.current();
        LengthUnit bare =
                cloth ? current.unitSystem().clothUnit() : current.unitSystem().smallUnit();
        FieldReader fields = new FieldReader();
        Length length = fields.length("text", text, bare);
        fields.check();
        return cloth
                ? current.writer().longLength(length, ShownRounding.NEAREST)
                : current.writer().length(length, ShownRounding.NEAREST);
    }
}
