package mardun.app.printer;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import mardun.app.printer.PrinterViews.ActForm;
import mardun.app.printer.PrinterViews.PrinterView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The simulated label printer as one stands before it. */
@RestController
@RequestMapping("/api/simulated/label-printer")
@Tag(name = "simulated devices")
class PrinterController {

    private final SimulatedLabelPrinter printer;

    PrinterController(SimulatedLabelPrinter printer) {
        this.printer = printer;
    }

    @GetMapping
    PrinterView readPrinter() {
        return printer.view();
    }

    @PostMapping
    PrinterView actAtPrinter(@Valid @RequestBody ActForm form) {
        printer.act(form);
        return printer.view();
    }
}
