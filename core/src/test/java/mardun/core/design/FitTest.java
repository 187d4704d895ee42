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
        "8, 6, 3, 7,    5, 5, 3,     false"
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

    private static Figure<Quantity> figure(String inches) {
        Quantity quantity = Quantity.of(in(inches));
        return new Figure<>(quantity, Working.of("As given.").gives(Value.of(quantity)));
    }

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }
}
