package mardun.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mardun.core.design.Design;
import mardun.core.design.SizedDesign;
import mardun.core.design.Sizing;
import mardun.core.kind.Brief;
import mardun.core.kind.Choice;
import mardun.core.kind.Drafting;
import mardun.core.kind.Kind;
import mardun.core.kind.Known;
import mardun.core.kind.Option;
import mardun.core.measure.UnitSystem;
import mardun.core.picture.BagPicture.Look;
import mardun.core.picture.BagPicture.Part;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class BagPainterTest {

    private static final Pattern NUMBER = Pattern.compile("-?\\d+(?:\\.\\d+)?");

    private static BagPicture picture(Kind kind, Map<Choice, Option> chosen, Map<String, String> measures) {
        Design design = Drafting.of(
                        new Brief(kind, "Drawn", Known.FINISHED, chosen, measures, UnitSystem.METRIC, "1 cm"))
                .design();
        SizedDesign sized = Sizing.of(design, 0);
        return BagPainter.paint(design, sized).orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void holdsAllThatIsDrawnInItsRectangle(Kind kind) {
        Random random = new Random(kind.ordinal());
        for (int i = 0; i < 12; i++) {
            Map<Choice, Option> way = new EnumMap<>(Choice.class);
            kind.offers().forEach((choice, options) -> way.put(choice, options.get(random.nextInt(options.size()))));
            BagPicture picture = picture(kind, way, Map.of());

            assertThat(picture.parts()).isNotEmpty();
            for (Part part : picture.parts()) {
                List<Double> numbers = NUMBER.matcher(part.path())
                        .results()
                        .map(found -> Double.parseDouble(found.group()))
                        .toList();
                for (int at = 0; at < numbers.size(); at++) {
                    assertThat(numbers.get(at))
                            .as("%s %s %s", kind, way, part)
                            .isBetween(0.0, at % 2 == 0 ? picture.width() : picture.height());
                }
                assertThat(part.path()).doesNotContain("NaN", "Inf");
            }
        }
    }

    @Test
    void isDrawnInMillimetres() {
        BagPicture flat = picture(Kind.FLAT_POUCH, Map.of(Choice.LABEL, Option.NO_LABEL), Map.of("width", "20 cm"));
        Matcher face = Pattern.compile("M([\\d.]+) ([\\d.]+)L([\\d.]+)")
                .matcher(flat.parts().get(0).path());

        assertThat(face.find()).isTrue();
        assertThat(Double.parseDouble(face.group(3)) - Double.parseDouble(face.group(1)))
                .isEqualTo(200);
    }

    @Test
    void laysThePrintUprightOnTheFrontAndRoundTheSide() {
        BagPicture pouch = picture(Kind.BOXED_POUCH, Map.of(), Map.of());
        List<Part> cloths = pouch.parts().stream()
                .filter(part -> part.look() == Look.CLOTH && part.slot().equals("outer"))
                .toList();
        BagPicture.Frame side = cloths.get(0).frame();
        BagPicture.Frame front = cloths.get(1).frame();

        assertThat(front.a()).isEqualTo(1);
        assertThat(front.b()).isZero();
        assertThat(front.d())
                .as("a millimetre down is nearly one on the picture")
                .isBetween(0.9, 1.2);
        assertThat(side.a()).as("the side goes back").isBetween(0.2, 0.5);
    }

    @Test
    void showsWhatWasChosen() {
        assertThat(looks(picture(Kind.BOXED_POUCH, Map.of(), Map.of()))).contains(Look.TEETH, Look.LABEL);
        assertThat(looks(picture(Kind.BOXED_POUCH, Map.of(Choice.LABEL, Option.NO_LABEL), Map.of())))
                .doesNotContain(Look.LABEL);
        assertThat(looks(picture(Kind.BOXED_TOTE, Map.of(Choice.HANDLES, Option.NO_HANDLE), Map.of())))
                .doesNotContain(Look.STRIP, Look.TEETH);
        assertThat(picture(Kind.BOXED_TOTE, Map.of(Choice.HANDLES, Option.WEBBING_HANDLES), Map.of())
                        .parts())
                .filteredOn(part -> part.look() == Look.STRIP)
                .hasSize(2)
                .allMatch(part -> part.slot().equals("webbing") && part.stroke() == 25);
        assertThat(picture(
                                Kind.BOXED_TOTE,
                                Map.of(Choice.HANDLES, Option.WEBBING_HANDLES, Choice.HANDLE_COUNT, Option.ONE_HANDLE),
                                Map.of())
                        .parts())
                .as("one handle, from side to side")
                .filteredOn(part -> part.look() == Look.STRIP)
                .hasSize(1);
        assertThat(picture(Kind.BASKET, Map.of(), Map.of()).parts())
                .as("the lining is seen as a band at the rim")
                .anyMatch(part -> part.look() == Look.CLOTH && part.slot().equals("lining"));
        assertThat(picture(Kind.TWO_ZIP_POUCH, Map.of(), Map.of()).parts())
                .filteredOn(part -> part.look() == Look.TEETH)
                .hasSize(2);
    }

    @Test
    void aBagThatCantBeSewnHasNoPicture() {
        Design design = Drafting.of(new Brief(
                        Kind.BOXED_POUCH,
                        "None",
                        Known.FINISHED,
                        Map.of(),
                        Map.of("height", "nothing"),
                        UnitSystem.METRIC,
                        "1 cm"))
                .design();

        assertThat(BagPainter.paint(design, Sizing.of(design, 0))).isEmpty();
    }

    private static List<Look> looks(BagPicture picture) {
        return picture.parts().stream().map(Part::look).distinct().toList();
    }
}
