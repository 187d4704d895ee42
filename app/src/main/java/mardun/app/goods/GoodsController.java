package mardun.app.goods;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.LocalDate;
import java.util.List;
import mardun.app.goods.GoodsViews.FinishedGoodsLine;
import mardun.app.goods.GoodsViews.GoodsForm;
import mardun.app.goods.GoodsViews.GoodsMovementView;
import mardun.app.goods.GoodsViews.GoodsOnDay;
import mardun.app.goods.GoodsViews.GoodsView;
import mardun.app.goods.GoodsViews.SeveralMoved;
import mardun.app.show.PageView;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/finished-goods")
@Tag(name = "goods")
class GoodsController {

    private final GoodsService goods;
    private final GoodsMoving moving;

    GoodsController(GoodsService goods, GoodsMoving moving) {
        this.goods = goods;
        this.moving = moving;
    }

    @GetMapping
    GoodsView listFinishedGoods(
            @RequestParam(defaultValue = "") String query,
            @RequestParam(defaultValue = "") String place,
            @RequestParam(required = false) @Nullable Quality quality,
            @RequestParam(defaultValue = "false") boolean all,
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "100") @Min(1) @Max(PageView.LARGEST) int size) {
        return goods.list(query, place, quality, all, page, size);
    }

    @GetMapping("/{id}/movements")
    List<GoodsMovementView> listGoodsMovements(@PathVariable long id) {
        return goods.movements(id);
    }

    @PostMapping("/{id}/movements")
    @ResponseStatus(HttpStatus.CREATED)
    FinishedGoodsLine moveFinishedGoods(@PathVariable long id, @RequestBody @Valid GoodsForm form) {
        moving.move(id, form);
        return goods.get(id);
    }

    /** Bags of several lots go from one place to another. */
    @PostMapping("/moves")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void moveSeveralGoods(@RequestBody @Valid SeveralMoved form) {
        moving.moveSeveral(form);
    }

    /** What was there at the end of a day, and what it had cost. */
    @GetMapping("/on/{day}")
    GoodsOnDay readGoodsOnDay(@PathVariable LocalDate day) {
        return goods.on(day);
    }
}
