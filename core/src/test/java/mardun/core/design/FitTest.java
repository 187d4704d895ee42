package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FitTest {

    @ParameterizedTest
    @CsvSource({
        // a flat bag 10 wide and 7 high goes round 20: girth and ease must be no more
        "10, 7, 0, '',  9, 6, 1/2,   true",
        "10, 7, 0, '',  9, 6, 1,     false",
        // turned, the same thing goes in: its 7 lies across
        "10, 12, 0, '', 9, 7, 2,     true",
        "10, 7, 0, '',  8, 8, 1/2,   false",
        // a boxed bag: three sides, any way round
        "8, 6, 3, '',   6, 8, 3,     true",
        "8, 6, 3, '',   6, 8, 3 1/8, false",
        // through the opening half the girth has to pass
        "8, 6, 3, 8,    5, 5, 3,     true",
        "8, 6, 3, 7,    5, 5, 3,     false",
        // a bottle goes in end first and lies inside; a box of the same girth doesn't
        "17, 7, 4, 14,  3, 13, 3,    true",
        "17, 7, 4, 14,  13, 3, 3,    true",
        "17, 7, 4, 5,   3, 13, 3,    false",
        "17, 7, 4, 14,  13, 4, 4,    true",
        "17, 7, 4, 14,  13, 5, 4,    true",
        "17, 7, 4, 14,  13, 5, 5,    false"
    })
    void aThingGoesIn(
            String width,
            String height,
            String depth,
            String opening,
            String thingWidth,
            String thingHeight,
            String thingDepth,
            boolean fits) {
        Finished finished = Finished.of(figure(width), figure(height), figure(depth));
        Optional<Figure<Quantity>> open = opening.isEmpty() ? Optional.empty() : Optional.of(figure(opening));
        Fit.Answer answer =
                Fit.of(finished, open, new Fit.Thing(in(thingWidth), in(thingHeight), in(thingDepth)), in("1/2"));
        assertThat(answer.fits()).isEqualTo(fits);
        assertThat(answer.comparisons().stream()
                        .filter(c -> !c.fits())
                        .findAny()
                        .isEmpty())
                .isEqualTo(fits);
    }

    @ParameterizedTest
    @CsvSource({
        // a flat pocket 4 wide goes round 8: a phone 3 by 6 by 1/2 with half an inch of ease stands out at the top
        "4,     3, 6, 1/2, true",
        "3 1/2, 3, 6, 1/2, false",
        "4,     6, 3, 1/2, true"
    })
    void aThingGoesIntoAPocket(String pocket, String width, String height, String depth, boolean fits) {
        Fit.Answer answer = Fit.pocket(in(pocket), new Fit.Thing(in(width), in(height), in(depth)), in("1/2"));
        assertThat(answer.fits()).isEqualTo(fits);
        if (fits) {
            assertThat(answer.turned().height()).isEqualTo(in("6"));
        }
    }

    @ParameterizedTest
    @CsvSource({"5 1/4, true", "5, false"})
    void aBoardGoesThroughTheGapByItsSmallestEnd(String gap, boolean fits) {
        assertThat(Fit.gap(in(gap), new Fit.Thing(in("12"), in("5"), in("1/8"))).fits())
                .isEqualTo(fits);
    }

    private static Figure<Quantity> figure(String inches) {
        Quantity quantity = Quantity.of(in(inches));
        return new Figure<>(quantity, Working.of("As given.").gives(Value.of(quantity)));
    }

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }
}
