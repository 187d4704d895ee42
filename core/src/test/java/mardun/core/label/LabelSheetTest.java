package mardun.core.label;

import static org.assertj.core.api.Assertions.assertThat;

import mardun.core.label.LabelSheet.Misfit;
import mardun.core.label.LabelSheet.Spot;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class LabelSheetTest {

    private static final Extent A4 = new Extent(mm(210), mm(297));

    private static Length mm(long millimetres) {
        return Length.of(millimetres, LengthUnit.MILLIMETRE);
    }

    private static LabelSheet sheet(long left, long width, long step, int across) {
        return new LabelSheet(A4, mm(left), mm(10), new Extent(mm(width), mm(30)), mm(step), mm(32), across, 8);
    }

    @Test
    void labelsAreCountedRowByRowAndOverThePages() {
        LabelSheet sheet = sheet(5, 60, 65, 3);
        assertThat(sheet.labels()).isEqualTo(24);
        assertThat(sheet.spot(0)).isEqualTo(new Spot(0, mm(5), mm(10)));
        assertThat(sheet.spot(2)).isEqualTo(new Spot(0, mm(135), mm(10)));
        assertThat(sheet.spot(3)).isEqualTo(new Spot(0, mm(5), mm(42)));
        assertThat(sheet.spot(23)).isEqualTo(new Spot(0, mm(135), mm(234)));
        assertThat(sheet.spot(24)).isEqualTo(new Spot(1, mm(5), mm(10)));
    }

    @Test
    void aUsedSheetTakesAnotherPageSooner() {
        LabelSheet sheet = sheet(5, 60, 65, 3);
        assertThat(sheet.pages(0, 24)).isEqualTo(1);
        assertThat(sheet.pages(1, 24)).isEqualTo(2);
        assertThat(sheet.pages(23, 1)).isEqualTo(1);
        assertThat(sheet.pages(23, 26)).isEqualTo(3);
    }

    @Test
    void aMarginBeyondThePageIsAMisfitAndNoneExactlyAtItsEdge() {
        assertThat(sheet(20, 60, 65, 3).misfit()).isEmpty();
        assertThat(sheet(21, 60, 65, 3).misfit()).contains(Misfit.TOO_WIDE);
        assertThat(sheet(5, 60, 59, 3).misfit()).contains(Misfit.OVERLAP_ACROSS);
        assertThat(sheet(5, 60, 59, 1).misfit()).isEmpty();
        assertThat(new LabelSheet(A4, mm(5), mm(45), new Extent(mm(60), mm(30)), mm(65), mm(32), 3, 8).misfit())
                .contains(Misfit.TOO_HIGH);
        assertThat(new LabelSheet(A4, mm(5), mm(5), new Extent(mm(60), mm(30)), mm(65), mm(29), 3, 8).misfit())
                .contains(Misfit.OVERLAP_DOWN);
    }

    @ParameterizedTest
    @EnumSource
    void everyCommonSheetLiesOnItsPageWithEqualMargins(CommonSheet common) {
        LabelSheet sheet = common.sheet();
        assertThat(sheet.misfit()).isEmpty();
        Spot first = sheet.spot(0);
        Spot last = sheet.spot(sheet.labels() - 1);
        assertThat(last.page()).isZero();
        assertThat(first.left().nanometres()).isNotNegative();
        assertThat(first.top().nanometres()).isNotNegative();
        Length right =
                sheet.page().width().minus(last.left()).minus(sheet.label().width());
        Length bottom =
                sheet.page().height().minus(last.top()).minus(sheet.label().height());
        assertThat(right.minus(first.left()).nanometres()).isBetween(0L, 1L);
        assertThat(bottom.minus(first.top()).nanometres()).isBetween(0L, 1L);
    }
}
