package mardun.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;

class QuantityTest {

    private static final Quantity INCH = Quantity.of(Length.of(1, LengthUnit.INCH));

    @Test
    void threeThirdsAreTheWhole() {
        Quantity seventeen = INCH.times(Quantity.of(17));
        Quantity third = seventeen.dividedBy(Quantity.of(3));
        assertThat(third.plus(third).plus(third)).isEqualTo(seventeen);
        assertThat(third.toLength(ShownRounding.UP)).isEqualTo(new Length(143_933_334));
        assertThat(third.toLength(ShownRounding.DOWN)).isEqualTo(new Length(143_933_333));
    }

    @Test
    void halfASixtyFourthIsHeldExactly() {
        Quantity half = Quantity.of(Length.of(1, 64, LengthUnit.INCH)).dividedBy(Quantity.of(2));
        assertThat(half.times(Quantity.of(2)).toLength(ShownRounding.NEAREST)).isEqualTo(new Length(396_875));
    }

    @Test
    void onlyLikeThingsAreAdded() {
        assertThatThrownBy(() -> INCH.plus(Quantity.of(1))).isInstanceOf(DimensionException.class);
        assertThatThrownBy(() -> INCH.times(INCH).plus(INCH))
                .isInstanceOf(DimensionException.class)
                .hasMessageContaining("a length")
                .hasMessageContaining("an area");
        assertThatThrownBy(() -> INCH.times(INCH).times(INCH)).hasMessageContaining("measures nothing");
        assertThatThrownBy(() -> Quantity.of(1).dividedBy(INCH)).hasMessageContaining("measures nothing");
        assertThatThrownBy(() -> INCH.dividedBy(Quantity.of(0))).hasMessageContaining("divides by nothing");
    }

    @Test
    void aLengthDividedByALengthIsANumber() {
        assertThat(INCH.times(Quantity.of(new BigDecimal("2.50"))).dividedBy(INCH))
                .isEqualTo(Quantity.of(new BigDecimal("2.5")));
    }

    @Test
    void anAreaOfClothDoesNotOverflow() {
        Length bolt = Length.of(100, LengthUnit.METRE);
        assertThat(Area.of(bolt, bolt).times(3).squareNanometres().toString()).isEqualTo("3" + "0".repeat(22));
        assertThat(new Extent(bolt, Length.of(1, LengthUnit.METRE)).area()).isLessThan(Area.of(bolt, bolt));
    }

    @Test
    void aLengthBeyondAllMeasureIsRefusedNotWrapped() {
        Quantity huge = INCH.times(Quantity.of(Long.MAX_VALUE));
        assertThatThrownBy(() -> huge.toLength(ShownRounding.UP)).hasMessageContaining("beyond all measure");
        assertThatThrownBy(() -> new Length(Long.MAX_VALUE).plus(new Length(1)))
                .isInstanceOf(ArithmeticException.class);
    }

    @Test
    void twoThatAreLessThanNothingAreInOrder() {
        Quantity less = Quantity.of(-3);
        Quantity more = Quantity.of(-2);
        assertThat(less.compare(more)).isNegative();
        assertThat(more.compare(less)).isPositive();
        assertThat(less.compare(Quantity.of(-3))).isZero();
        assertThat(less.compare(Quantity.of(1))).isNegative();
    }
}
