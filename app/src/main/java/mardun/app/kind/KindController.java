package mardun.app.kind;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.List;
import mardun.app.design.DesignViews.DesignView;
import mardun.app.kind.KindViews.BriefForm;
import mardun.app.kind.KindViews.DraftView;
import mardun.app.kind.KindViews.KindView;
import mardun.app.kind.KindViews.NewFromBrief;
import mardun.app.kind.KindViews.Rechosen;
import mardun.app.kind.KindViews.RechosenView;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
@Tag(name = "kinds of bag")
class KindController {

    private final KindService kinds;

    KindController(KindService kinds) {
        this.kinds = kinds;
    }

    /** The kinds of bag that a design can begin as. */
    @GetMapping("/kinds")
    List<KindView> listKinds() {
        return kinds.kinds();
    }

    /** The design that a brief makes, with all that follows from it; nothing is stored. */
    @PostMapping("/kinds/draft")
    DraftView draftDesign(@RequestBody @Valid BriefForm form) {
        return kinds.draft(form);
    }

    @PostMapping("/kinds/designs")
    @ResponseStatus(HttpStatus.CREATED)
    DesignView beginDesignFromBrief(@RequestBody @Valid NewFromBrief form) {
        return kinds.begin(form);
    }

    /** A design that is being edited, with other choices. */
    @PostMapping("/designs/rechosen")
    RechosenView changeChoices(@RequestBody @Valid Rechosen form) {
        return kinds.rechoose(form);
    }
}
