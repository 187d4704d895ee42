package mardun.app.cutter;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.cutter.CutterViews.CutterForm;
import mardun.app.cutter.CutterViews.CutterView;
import mardun.app.cutter.CutterViews.MatForm;
import mardun.app.cutter.CutterViews.MatsView;
import mardun.app.cutter.CutterViews.SentMatForm;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Shapes that are cut by machine, and the simulated machine as one stands before it. */
@RestController
@RequestMapping("/api")
@Tag(name = "cutting machine")
class CutterController {

    private static final MediaType SVG = MediaType.valueOf("image/svg+xml");

    private final MatService mats;
    private final SimulatedCuttingMachine machine;

    CutterController(MatService mats, SimulatedCuttingMachine machine) {
        this.mats = mats;
        this.machine = machine;
    }

    @GetMapping("/batches/{id}/cutting/mats")
    MatsView readMats(
            @PathVariable BatchId id,
            @RequestParam MaterialId materialId,
            @RequestParam(required = false) @Size(max = 200) @Nullable List<@Size(max = 20) String> piece,
            @RequestParam(required = false) @Size(max = 20) @Nullable String mat) {
        return mats.mats(id, new MatForm(materialId, piece, mat));
    }

    @GetMapping("/batches/{id}/cutting/mats/{number}/job.svg")
    ResponseEntity<String> readMatJob(
            @PathVariable BatchId id,
            @PathVariable @Min(1) @Max(1_000) int number,
            @RequestParam MaterialId materialId,
            @RequestParam(required = false) @Size(max = 200) @Nullable List<@Size(max = 20) String> piece,
            @RequestParam(required = false) @Size(max = 20) @Nullable String mat) {
        return ResponseEntity.ok()
                .contentType(SVG)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        "attachment; filename=\"batch-" + id + "-mat-" + number + ".svg\"")
                .body(mats.job(id, new MatForm(materialId, piece, mat), number));
    }

    /** Sends a mat to the cutting machine. */
    @PostMapping("/batches/{id}/cutting/mats/sent")
    CutterView sendMat(@PathVariable BatchId id, @RequestBody @Valid SentMatForm form) {
        mats.send(id, form);
        return machine.view();
    }

    @GetMapping("/simulated/cutting-machine")
    CutterView readCuttingMachine() {
        return machine.view();
    }

    @PostMapping("/simulated/cutting-machine")
    CutterView actAtCuttingMachine(@RequestBody @Valid CutterForm form) {
        machine.act(form.act());
        return machine.view();
    }
}
