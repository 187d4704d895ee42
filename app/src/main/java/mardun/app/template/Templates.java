package mardun.app.template;

import java.util.List;
import mardun.app.id.DesignId;
import mardun.app.template.TemplateViews.Asked;
import mardun.app.template.TemplateViews.PaperKind;
import mardun.app.template.TemplateViews.TemplatesView;
import org.springframework.stereotype.Component;

/** The templates of a design, for other areas that show how they lie on their pages. */
@Component
public class Templates {

    private final TemplateService service;

    Templates(TemplateService service) {
        this.service = service;
    }

    /**
     * All pieces of one size that a ruler doesn't draw as well.
     *
     * @param size its place among the design's sizes, from 0
     * @param picks keys of alternatives that are taken where the design leaves something open
     */
    public TemplatesView onPages(DesignId id, int size, PaperKind paper, List<String> picks) {
        return service.view(id, new Asked(List.of(size), null, paper, null, null, null, null, picks));
    }
}
