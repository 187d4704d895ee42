package mardun.core.label;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mardun.core.label.LabelFace.Box;
import mardun.core.label.LabelFace.Code;
import mardun.core.label.LabelFace.Part;
import mardun.core.label.LabelFace.Rank;
import mardun.core.label.LabelFace.Text;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;

class LabelFaceTest {

    /** Letters of a made-up font: each as wide as half its size, bold ones a tenth wider. */
    private static double width(String text, boolean bold) {
        return text.length() * (bold ? 0.55 : 0.5);
    }

    private static Extent mm(double width, double height) {
        return new Extent(
                Length.of(Math.round(10 * width), 10, LengthUnit.MILLIMETRE),
                Length.of(Math.round(10 * height), 10, LengthUnit.MILLIMETRE));
    }

    private static Optional<LabelFace> fit(Extent label, Optional<Code> code, Part... parts) {
        return LabelFace.fit(label, List.of(parts), code, LabelFaceTest::width);
    }

    @Test
    void theNameIsOnTopAndThePriceAtTheBottomAndLarger() {
        LabelFace face = fit(
                        mm(70, 37),
                        Optional.empty(),
                        new Part(Rank.NAME, "Heron pouch"),
                        new Part(Rank.DETAIL, "small, blue canvas"),
                        new Part(Rank.PRICE, "19.50"),
                        new Part(Rank.SMALL, "cotton"))
                .orElseThrow();
        assertThat(face.texts())
                .extracting(Text::text)
                .containsExactly("Heron pouch", "small, blue canvas", "19.50", "cotton");
        assertThat(face.texts().get(2).size()).isGreaterThan(face.texts().get(0).size());
        assertThat(face.texts().get(3).baseline()).isBetween(30.0, 37.0);
        assertThat(face.texts().get(0).baseline()).isBetween(2.0, 9.0);
    }

    @Test
    void longWordsMakeLettersSmallerAndTooManyDontFit() {
        Part small = new Part(Rank.SMALL, "machine wash cold, dry flat, no iron on the coated side ".repeat(3));
        Part name = new Part(Rank.NAME, "Heron pouch");
        double alone = fit(mm(48.5, 25.4), Optional.empty(), name)
                .orElseThrow()
                .texts()
                .get(0)
                .size();
        double withWords = fit(mm(48.5, 25.4), Optional.empty(), name, small)
                .orElseThrow()
                .texts()
                .get(0)
                .size();
        assertThat(withWords).isLessThan(alone);
        assertThat(fit(mm(38.1, 21.2), Optional.empty(), name, small, small)).isEmpty();
    }

    @Test
    void oneWordThatIsWiderThanTheLabelDoesNotFit() {
        assertThat(fit(mm(38.1, 21.2), Optional.empty(), new Part(Rank.NAME, "W".repeat(60))))
                .isEmpty();
    }

    @Test
    void aCodeStandsBesideTheWordsOnAWideLabelAndBelowThemOnAHighOne() {
        Part name = new Part(Rank.NAME, "Heron pouch");
        Box beside = fit(mm(70, 37), Optional.of(new Code.Square()), name)
                .flatMap(LabelFace::code)
                .orElseThrow();
        assertThat(beside.left()).isGreaterThan(40);
        assertThat(beside.width()).isEqualTo(beside.height());
        LabelFace high = fit(mm(40, 80), Optional.of(new Code.Square()), name).orElseThrow();
        assertThat(high.texts().get(0).baseline())
                .isLessThan(high.code().orElseThrow().top());
    }

    @Test
    void barsTooThinToBeReadDontFit() {
        Part name = new Part(Rank.NAME, "Heron");
        assertThat(fit(mm(70, 37), Optional.of(new Code.Bars(150)), name)).isPresent();
        assertThat(fit(mm(25, 37), Optional.of(new Code.Bars(150)), name)).isEmpty();
    }

    @Test
    void whateverFitsStaysInsideAndKeepsApartAndIsReadable() {
        Random random = new Random(20261128);
        int fitted = 0;
        for (int i = 0; i < 3_000; i++) {
            double width = 20 + random.nextInt(100);
            double height = 12 + random.nextInt(90);
            List<Part> parts = new ArrayList<>();
            for (Rank rank : Rank.values()) {
                if (random.nextInt(4) > 0) {
                    parts.add(new Part(rank, "lorem ipsum dolor ".repeat(1 + random.nextInt(5))));
                }
            }
            Optional<Code> code = switch (random.nextInt(3)) {
                case 0 -> Optional.of(new Code.Square());
                case 1 -> Optional.of(new Code.Bars(90 + random.nextInt(80)));
                default -> Optional.empty();
            };
            Optional<LabelFace> face = LabelFace.fit(mm(width, height), parts, code, LabelFaceTest::width);
            if (face.isEmpty()) {
                continue;
            }
            fitted++;
            assertThat(face.get().code().isPresent()).isEqualTo(code.isPresent());
            face.get().code().ifPresent(box -> {
                assertThat(box.left()).isNotNegative();
                assertThat(box.left() + box.width()).isLessThanOrEqualTo(width);
                assertThat(box.top() + box.height()).isLessThanOrEqualTo(height);
            });
            double lowest = 0;
            for (Text text : face.get().texts()) {
                assertThat(text.size()).isGreaterThanOrEqualTo(LabelFace.SMALLEST);
                double right = text.left() + text.size() * width(text.text(), text.bold());
                assertThat(right).isLessThanOrEqualTo(width);
                assertThat(text.baseline() - 0.92 * text.size()).isGreaterThan(lowest - 1e-6);
                lowest = text.baseline() + 0.28 * text.size();
                assertThat(lowest).isLessThanOrEqualTo(height);
                face.get()
                        .code()
                        .ifPresent(box -> assertThat(right <= box.left() || text.baseline() <= box.top())
                                .isTrue());
            }
        }
        assertThat(fitted).isGreaterThan(1_000);
    }
}
