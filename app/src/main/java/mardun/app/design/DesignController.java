package mardun.app.design;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.design.BlockViews.BlockView;
import mardun.app.design.BlockViews.DesignWithBlock;
import mardun.app.design.BlockViews.NewBlock;
import mardun.app.design.DesignViews.ArrangedSizes;
import mardun.app.design.DesignViews.ChangedDesign;
import mardun.app.design.DesignViews.DesignLine;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.design.DesignViews.DesignSheet;
import mardun.app.design.DesignViews.DesignView;
import mardun.app.design.DesignViews.DrawnSteps;
import mardun.app.design.DesignViews.FormView;
import mardun.app.design.DesignViews.NewDesign;
import mardun.app.design.DesignViews.NewSize;
import mardun.app.design.DesignViews.PacedDesign;
import mardun.app.design.DesignViews.PreviewedDesign;
import mardun.app.design.DesignViews.RenamedPart;
import mardun.app.design.DesignViews.SetUpWords;
import mardun.app.design.DesignViews.SlotMaterials;
import mardun.app.design.QuestionViews.DiagnosisAnswer;
import mardun.app.design.QuestionViews.DiagnosisQuestion;
import mardun.app.design.QuestionViews.FitAnswer;
import mardun.app.design.QuestionViews.FitQuestion;
import mardun.app.id.DesignId;
import mardun.app.request.PutAway;
import mardun.app.show.PageView;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
@Tag(name = "designs")
class DesignController {

    private final DesignService designs;
    private final BlockService blocks;
    private final QuestionService questions;
    private final DesignRemoval removal;

    DesignController(DesignService designs, BlockService blocks, QuestionService questions, DesignRemoval removal) {
        this.removal = removal;
        this.designs = designs;
        this.blocks = blocks;
        this.questions = questions;
    }

    @GetMapping("/designs")
    PageView<DesignLine> listDesigns(
            @RequestParam(defaultValue = "") @Size(max = 100) String search,
            @RequestParam(defaultValue = "false") boolean putAway,
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "60") @Min(1) @Max(PageView.LARGEST) int size) {
        return designs.list(search, putAway, page, size);
    }

    @PostMapping("/designs")
    @ResponseStatus(HttpStatus.CREATED)
    DesignView beginDesign(@RequestBody @Valid NewDesign form) {
        return designs.begin(form);
    }

    @GetMapping("/designs/{id}")
    DesignView readDesign(@PathVariable DesignId id) {
        return designs.get(id);
    }

    @PutMapping("/designs/{id}")
    DesignView changeDesign(@PathVariable DesignId id, @RequestBody @Valid ChangedDesign form) {
        return designs.change(id, form);
    }

    @PutMapping("/designs/{id}/put-away")
    DesignView putDesignAway(@PathVariable DesignId id, @RequestBody @Valid PutAway form) {
        return designs.putAway(id, form);
    }

    /** Removes a design of which no batch was ever planned. */
    @DeleteMapping("/designs/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeDesign(@PathVariable DesignId id, @RequestParam long version) {
        removal.remove(id, version);
    }

    @PostMapping("/designs/preview")
    DesignSheet previewDesign(@RequestBody @Valid PreviewedDesign form) {
        return designs.preview(form);
    }

    /** What of the shelf may fill each slot of a design that is being edited. */
    @PostMapping("/designs/slot-materials")
    List<SlotMaterials> findSlotMaterials(@RequestBody @Valid PreviewedDesign form) {
        return designs.slotMaterials(form.document());
    }

    /** What is sewn in each step of a design that is being edited, drawn on its pieces. */
    @PostMapping("/designs/seams")
    List<SeamView> drawSeams(@RequestBody @Valid DrawnSteps form) {
        return designs.seams(form);
    }

    @PostMapping("/designs/with-size")
    DesignDocument copySize(@RequestBody @Valid NewSize form) {
        return designs.withSize(form);
    }

    /** A piece, a measurement or a size of a design that is being edited gets another name, everywhere or not at all. */
    @PostMapping("/designs/renamed")
    DesignDocument renamePart(@RequestBody @Valid RenamedPart form) {
        return designs.renamed(form);
    }

    /** The sizes of a design that is being edited, in another order or fewer. */
    @PostMapping("/designs/arranged")
    DesignDocument arrangeSizes(@RequestBody @Valid ArrangedSizes form) {
        return designs.arranged(form);
    }

    /** Spreads so many an hour over the steps of a design that is being edited. */
    @PostMapping("/designs/paced")
    DesignDocument paceDesign(@RequestBody @Valid PacedDesign form) {
        return designs.paced(form);
    }

    @PostMapping("/designs/with-block")
    DesignDocument putBlockIntoDesign(@RequestBody @Valid DesignWithBlock form) {
        return blocks.putInto(form);
    }

    @PostMapping("/designs/fit")
    FitAnswer askWhetherItFits(@RequestBody @Valid FitQuestion question) {
        return questions.fits(question);
    }

    @PostMapping("/designs/diagnosis")
    DiagnosisAnswer askWhyItIsDifferent(@RequestBody @Valid DiagnosisQuestion question) {
        return questions.diagnose(question);
    }

    @GetMapping("/design-names")
    List<DesignName> listDesignNames() {
        return designs.names();
    }

    /** What was on the machine in the steps of all designs. */
    @GetMapping("/set-up-words")
    SetUpWords listSetUpWords() {
        return designs.setUpWords();
    }

    @GetMapping("/design-forms")
    List<FormView> listForms() {
        return designs.forms();
    }

    @GetMapping("/design-blocks")
    List<BlockView> listBlocks() {
        return blocks.list();
    }

    @PostMapping("/design-blocks")
    @ResponseStatus(HttpStatus.CREATED)
    List<BlockView> keepBlock(@RequestBody @Valid NewBlock form) {
        return blocks.keep(form);
    }
}
