package mardun.app.posting;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.posting.PostingViews.BagWeight;
import mardun.app.posting.PostingViews.BagWeightForm;
import mardun.app.posting.PostingViews.ParcelView;
import mardun.app.posting.PostingViews.PostingForm;
import mardun.app.problem.TypedText;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/posting")
@Tag(name = "posting")
class PostingController {

    private final PostingService posting;

    PostingController(PostingService posting) {
        this.posting = posting;
    }

    /** What stands on parcels, and the postage table. */
    @GetMapping
    PostingForm readPosting() {
        return posting.form();
    }

    @PutMapping
    PostingForm changePosting(@Valid @RequestBody PostingForm form) {
        posting.enter(form);
        return posting.form();
    }

    /** What bags weigh. */
    @GetMapping("/weights")
    List<BagWeight> listBagWeights() {
        return posting.weights();
    }

    @PutMapping("/weights")
    List<BagWeight> weighBag(@Valid @RequestBody BagWeightForm form) {
        posting.weigh(form);
        return posting.weights();
    }

    /** The parcel of an online order, and what it costs to each zone. */
    @GetMapping("/orders/{id}")
    ParcelView readParcel(@PathVariable long id) {
        return posting.parcel(id);
    }

    /** The address label of an online order, and the card that goes into its parcel. */
    @GetMapping("/orders/{id}/parcel.pdf")
    ResponseEntity<byte[]> printParcel(@PathVariable long id) {
        return pdf("parcel-" + id, posting.papers(id));
    }

    /** An address label by hand, a line each. */
    @GetMapping("/label.pdf")
    ResponseEntity<byte[]> printLabel(@RequestParam(defaultValue = "") @Size(max = 600) String address) {
        return pdf("label", posting.label(TypedText.clean(address).lines().toList()));
    }

    private static ResponseEntity<byte[]> pdf(String name, byte[] body) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + ".pdf\"")
                .body(body);
    }
}
