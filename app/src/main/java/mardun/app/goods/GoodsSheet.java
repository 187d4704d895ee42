package mardun.app.goods;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import mardun.app.files.ListSheet;
import mardun.app.files.SheetLine;
import mardun.app.files.SheetWords;
import mardun.app.goods.GoodsService.BagsFromBefore;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * The finished bags as a CSV sheet, a line for each place. A line with a number is in the book already; one without is
 * entered as bags that were made before.
 */
@Component
@Order(6)
class GoodsSheet implements ListSheet {

    private static final String NUMBER = "number";
    private static final String DESIGN = "design";
    private static final String SIZE = "size";
    private static final String CLOTH = "cloth";
    private static final String PLACE = "place";
    private static final String UNITS = "units";
    private static final String COST = "unit cost";
    private static final String PRICE = "price";
    private static final String FINISHED = "finished on";

    private final GoodsService goods;
    private final SettingsService settings;
    private final Clock clock;

    GoodsSheet(GoodsService goods, SettingsService settings, Clock clock) {
        this.goods = goods;
        this.settings = settings;
        this.clock = clock;
    }

    @Override
    public String key() {
        return "finished-bags";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                new Column(NUMBER, false, "of bags that are in the book already; empty for new ones"),
                new Column(DESIGN, true, ""),
                new Column(SIZE, false, ""),
                new Column(CLOTH, false, ""),
                new Column(PLACE, false, "where they are; empty for home"),
                new Column(UNITS, true, "how many"),
                new Column(COST, true, "what one of them cost"),
                new Column(PRICE, true, "for which one is sold"),
                new Column(FINISHED, false, "a day like 2026-03-14; empty for today"));
    }

    @Override
    public void write(CsvSheet sheet) {
        Settings current = settings.current();
        goods.forEachPlace((one, place) -> sheet.line(
                Long.toString(one.id()),
                one.designName(),
                one.sizeName(),
                one.clothName(),
                place.place(),
                Integer.toString(place.units()),
                current.money(one.unitCostMinor()).getAmount().toPlainString(),
                current.money(one.priceMinor()).getAmount().toPlainString(),
                one.finishedOn().toString()));
    }

    @Override
    public LineReader reader(List<SheetLine> lines) {
        Settings current = settings.current();
        return line -> read(line, current);
    }

    private Verdict read(SheetLine line, Settings current) {
        if (!line.get(NUMBER).isBlank()) {
            return Verdict.same("bags " + line.get(NUMBER));
        }
        FieldReader fields = new FieldReader();
        String design = fields.text(DESIGN, line.get(DESIGN), 120);
        String size = atMost(fields, line, SIZE, 60);
        String cloth = atMost(fields, line, CLOTH, 120);
        String place = line.get(PLACE).isBlank() ? GoodsService.HOME : atMost(fields, line, PLACE, 80);
        int units = fields.count(UNITS, line.get(UNITS), 1, 100_000);
        long cost = fields.money(COST, line.get(COST), current.currency());
        long price = fields.money(PRICE, line.get(PRICE), current.currency());
        LocalDate day = SheetWords.day(fields, FINISHED, line.get(FINISHED), LocalDate.now(clock));
        if (!fields.problems().isEmpty()) {
            return Verdict.refuse(
                    design.isEmpty() ? "bags" : design,
                    fields.problems().stream().map(FieldProblem::sentence).toList());
        }
        return Verdict.add(
                units + " × " + design,
                () -> goods.enter(new BagsFromBefore(design, size, cloth, units, cost, price, day, place)));
    }

    private static String atMost(FieldReader fields, SheetLine line, String column, int most) {
        String text = line.get(column);
        if (text.length() > most) {
            fields.refuse(column, text, "Use at most " + most + " characters for the " + column + ".");
        }
        return text;
    }
}
