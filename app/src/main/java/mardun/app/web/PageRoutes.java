package mardun.app.web;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The interface's own addresses all begin at its one page, so that they can be opened and reloaded. */
@Controller
@Hidden
class PageRoutes {

    @GetMapping({
        "/bench",
        "/bench/days",
        "/bench/work/{id}",
        "/designs",
        "/designs/new",
        "/designs/new/{kind}",
        "/designs/{id}",
        "/designs/{id}/templates",
        "/materials",
        "/prices",
        "/prices/sheet",
        "/prices/tickets",
        "/prices/printer",
        "/prices/quotes",
        "/prices/quotes/{id}",
        "/materials/{id}",
        "/materials/buying",
        "/materials/deliveries",
        "/materials/stock-take",
        "/materials/value",
        "/materials/hand",
        "/materials/files",
        "/materials/finished",
        "/materials/finished/{id}",
        "/batches",
        "/batches/new",
        "/batches/what-to-make",
        "/batches/{id}",
        "/batches/{id}/cutting",
        "/batches/{id}/gather",
        "/batches/{id}/tally",
        "/stalls",
        "/stalls/online",
        "/stalls/resellers",
        "/stalls/resellers/{id}",
        "/stalls/posting",
        "/stalls/orders",
        "/stalls/orders/{id}",
        "/stalls/{id}",
        "/stalls/{id}/day",
        "/logbook",
        "/year",
        "/year/books",
        "/help",
        "/help/{topic}",
        "/settings"
    })
    String page() {
        return "forward:/index.html";
    }
}
