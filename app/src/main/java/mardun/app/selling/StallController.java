package mardun.app.selling;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import mardun.app.id.FairId;
import mardun.app.selling.StallViews.AnswerForm;
import mardun.app.selling.StallViews.PackedBoxForm;
import mardun.app.selling.StallViews.PackedForm;
import mardun.app.selling.StallViews.PackingForm;
import mardun.app.selling.StallViews.PackingView;
import mardun.app.selling.StallViews.SettleForm;
import mardun.app.selling.StallViews.SettlementView;
import mardun.app.selling.StallViews.StallTelling;
import mardun.app.selling.StallViews.StallView;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/fairs/{id}")
@Tag(name = "stall")
class StallController {

    private final PackingService packing;
    private final StallService stall;
    private final SettlementService settlements;

    StallController(PackingService packing, StallService stall, SettlementService settlements) {
        this.packing = packing;
        this.stall = stall;
        this.settlements = settlements;
    }

    @GetMapping("/packing")
    PackingView getPacking(@PathVariable FairId id) {
        return packing.packing(id);
    }

    @PutMapping("/packing")
    PackingView enterPacking(@PathVariable FairId id, @RequestBody @Valid PackingForm form) {
        packing.enter(id, form);
        return packing.packing(id);
    }

    @PutMapping("/packing/proposed")
    PackingView takeProposed(@PathVariable FairId id) {
        packing.propose(id);
        return packing.packing(id);
    }

    @PutMapping("/packing/packed")
    PackingView pack(@PathVariable FairId id, @RequestBody @Valid PackedForm form) {
        packing.pack(id, form);
        return packing.packing(id);
    }

    /** All kinds of a box at once. */
    @PutMapping("/packing/packed-box")
    PackingView packBox(@PathVariable FairId id, @RequestBody @Valid PackedBoxForm form) {
        packing.packBox(id, form);
        return packing.packing(id);
    }

    @GetMapping("/stall")
    StallView getStall(@PathVariable FairId id) {
        return stall.stall(id);
    }

    @PostMapping("/stall")
    StallView tellStall(@PathVariable FairId id, @RequestBody @Valid StallTelling telling) {
        return stall.tell(id, telling);
    }

    @PutMapping("/stall/answers")
    StallView answerStall(@PathVariable FairId id, @RequestBody @Valid AnswerForm form) {
        return stall.answer(id, form);
    }

    @GetMapping("/settlement")
    SettlementView getSettlement(@PathVariable FairId id) {
        return settlements.settlement(id);
    }

    @PostMapping("/settlement")
    SettlementView settleFair(@PathVariable FairId id, @RequestBody @Valid SettleForm form) {
        return settlements.settle(id, form);
    }

    @DeleteMapping("/settlement")
    SettlementView openSettlement(@PathVariable FairId id) {
        return settlements.openAgain(id);
    }
}
