package mardun.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import mardun.app.id.MaterialId;
import mardun.core.cutting.PieceKey;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

class FrozenReaderTest {

    private static final String SUPPLY = """
            {"slot": "%s", "materialId": %d, "name": "%s", "kind": "%s", "directional": false,
             "priceMinor": 190, "pricePerValue": 1000000000, "onHandValue": 5000000000}""";

    private final FrozenReader reader = new FrozenReader(JsonMapper.builder().build());

    /** What was frozen before batches had lines: one design, a supply for each slot, pieces known by their letters. */
    @Test
    void aBatchFromBeforeThereWereLinesHasOne() {
        String stored = """
                {"design": {"name": "Pouch", "sizes": ["one"], "usualUnits": 1, "forChildren": false}, "plannedCostMinor": 1165,
                 "supplies": [%s, %s, %s],
                 "workroom": {"currency": "EUR", "hourlyRateMinor": 1900, "overheadPerHourMinor": 160, "stall": "stall",
                   "stallShare": 0.03, "stallFeeMinor": 20, "school": "MARKUP", "factor": 2, "margin": 0.3, "markup": 0.4,
                   "point": "HALF", "thickestSeamNm": 6000000},
                 "sheets": [{"materialId": 4, "squaringNm": 6350000, "extra": {"A": 2, "2a": 1},
                   "layout": {"format": "mardun-layout-1", "cloths": [{"lot": "", "width": 1000, "length": 500,
                     "pieces": [{"letter": "A", "x": 0, "y": 0, "width": 10, "height": 20, "turned": false}]}]}}]}""".formatted(
                        SUPPLY.formatted("outer", 4, "Stripe", "CLOTH"),
                        SUPPLY.formatted("handle", 4, "Stripe", "CLOTH"),
                        SUPPLY.formatted("zip", 7, "Tape", "TRIM"));
        FrozenInputs frozen = reader.read(stored);
        assertThat(frozen.schema()).isEqualTo(2);
        assertThat(frozen.lines()).hasSize(1);
        assertThat(frozen.line(1).orElseThrow().slots())
                .isEqualTo(Map.of("outer", new MaterialId(4), "handle", new MaterialId(4), "zip", new MaterialId(7)));
        assertThat(frozen.supplies())
                .extracting(FrozenInputs.FrozenSupply::materialId)
                .containsExactly(new MaterialId(4), new MaterialId(7));
        assertThat(frozen.cut()).containsExactly(new MaterialId(4));
        assertThat(frozen.plannedCost(1).orElseThrow().getAmountMinorLong()).isEqualTo(1165);
        assertThat(frozen.sheetsByKey().get("4").extra())
                .isEqualTo(Map.of(new PieceKey(1, "A"), 2L, new PieceKey(1, "2a"), 1L));
        assertThat(frozen.sheetsByKey()
                        .get("4")
                        .layout()
                        .cloths()
                        .get(0)
                        .pieces()
                        .get(0)
                        .key())
                .isEqualTo(new PieceKey(1, "A"));
        assertThat(reader.read(reader.write(frozen))).isEqualTo(frozen);
    }

    @Test
    void whatALaterVersionWroteIsNotGuessed() {
        assertThatThrownBy(() -> reader.read("{\"schema\": 9}")).hasMessageContaining("schema 9");
    }
}
