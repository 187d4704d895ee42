package mardun.app.material;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.StockViews.LotForm;
import mardun.app.material.StockViews.PieceForm;
import mardun.app.material.StockViews.ScrapForm;
import mardun.app.material.StockViews.ScrapLine;
import mardun.app.material.StockViews.ShelfView;
import mardun.app.material.StockViews.StockTakeDone;
import mardun.app.material.StockViews.StockTakeForm;
import mardun.app.material.StockViews.StockTakeView;
import mardun.app.material.StockViews.StockValueView;
import mardun.app.show.CsvSheet;
import mardun.app.show.PageView;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
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
@Tag(name = "stock")
class StockController {

    private final StockService stock;
    private final ShelfValue value;

    StockController(StockService stock, ShelfValue value) {
        this.stock = stock;
        this.value = value;
    }

    @PostMapping("/materials/{id}/movements")
    @ResponseStatus(HttpStatus.CREATED)
    MaterialView moveMaterial(@PathVariable MaterialId id, @RequestBody @Valid MovementForm form) {
        return stock.move(id, form);
    }

    @GetMapping("/materials/{id}/shelf")
    ShelfView readShelf(
            @PathVariable MaterialId id,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) Optional<LocalDate> on) {
        return stock.shelf(id, on);
    }

    @PostMapping("/materials/{id}/pieces")
    @ResponseStatus(HttpStatus.CREATED)
    ShelfView createPieces(@PathVariable MaterialId id, @RequestBody @Valid PieceForm form) {
        return stock.enterPieces(id, form);
    }

    @PutMapping("/lots/{id}")
    ShelfView changeLot(@PathVariable LotId id, @RequestBody @Valid LotForm form) {
        return stock.describeLot(id, form);
    }

    @GetMapping("/stock-take")
    StockTakeView readStockTake(
            @RequestParam Optional<String> place,
            @RequestParam(defaultValue = "") String query,
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "60") @Min(1) @Max(PageView.LARGEST) int size) {
        return stock.stockTake(place, query, page, size);
    }

    @PostMapping("/stock-takes")
    @ResponseStatus(HttpStatus.CREATED)
    StockTakeDone createStockTake(@RequestBody @Valid StockTakeForm form) {
        return stock.takeStock(form);
    }

    @GetMapping("/stock-value")
    StockValueView readStockValue(@RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) Optional<LocalDate> on) {
        return value.on(on);
    }

    @GetMapping(path = "/stock-value.csv", produces = CsvSheet.MEDIA_TYPE)
    ResponseEntity<String> downloadStockValue(
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) Optional<LocalDate> on) {
        return CsvSheet.download("stock-value.csv", value.csv(on));
    }

    @GetMapping("/scrap")
    List<ScrapLine> listScrap() {
        return stock.scrap();
    }

    @PostMapping("/scrap")
    @ResponseStatus(HttpStatus.CREATED)
    List<ScrapLine> createScrap(@RequestBody @Valid ScrapForm form) {
        return stock.scrap(form);
    }
}
