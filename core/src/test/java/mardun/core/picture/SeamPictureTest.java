package mardun.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.core.design.Design;
import mardun.core.design.Point;
import mardun.core.design.Sizing;
import mardun.core.kind.Brief;
import mardun.core.kind.Choice;
import mardun.core.kind.Drafting;
import mardun.core.kind.Kind;
import mardun.core.kind.Known;
import mardun.core.kind.Option;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.UnitSystem;
import org.junit.jupiter.api.Test;

class SeamPictureTest {

    private static Map<String, SeamPicture> seams(Map<Choice, Option> chosen) {
        Design design = Drafting.of(new Brief(
                        Kind.FLAT_POUCH,
                        "Sewn",
                        Known.FINISHED,
                        chosen,
                        Map.of("width", "20 cm", "height", "15 cm"),
                        UnitSystem.METRIC,
                        "1 cm"))
                .design();
        return SeamPicture.of(design, Sizing.of(design, 0)).stream()
                .collect(Collectors.toMap(SeamPicture::step, seam -> seam));
    }

    @Test
    void lightsUpTheEdgesThatAreSewnAsFarInsideAsTheirAllowance() {
        SeamPicture.Layer outer = seams(Map.of()).get("zip").layers().get(0);

        assertThat(outer.letter()).isEqualTo("A");
        assertThat(outer.width()).isEqualTo(220);
        assertThat(outer.sewn()).hasSize(1);
        assertThat(outer.sewn().get(0))
                .allSatisfy(point -> assertThat(point.y()).isEqualTo(6));
    }

    @Test
    void leavesTheTurningGapOpenInTheBaseOfTheLining() {
        List<SeamPicture.Layer> layers = seams(Map.of()).get("round").layers();
        SeamPicture.Layer lining = layers.get(1);

        assertThat(layers.get(0).open()).isEmpty();
        assertThat(lining.open()).hasSize(1);
        Point from = lining.open().get(0).get(0);
        Point to = lining.open().get(0).get(1);
        assertThat(from.y()).isEqualTo(lining.height() - 10);
        assertThat(to.x() - from.x()).isEqualTo(135);
        assertThat(from.x() + to.x()).as("in the middle").isEqualTo(lining.width());
    }

    @Test
    void leavesItOpenAtTheSideWhereTheBaseIsAFold() {
        SeamPicture.Layer lining = seams(Map.of(Choice.BASE, Option.BASE_FOLD))
                .get("round")
                .layers()
                .get(1);

        assertThat(lining.open().get(0))
                .allSatisfy(point -> assertThat(point.x()).isEqualTo(10));
    }

    @Test
    void isAsLongAsWhatIsSewnApartAndTheLongestOfWhatIsSewnTogether() {
        Map<String, SeamPicture> seams = seams(Map.of());

        assertThat(seams.get("zip").length())
                .as("outer, zip and lining in one seam along the top")
                .isEqualTo(Length.of(22, LengthUnit.CENTIMETRE));
        SeamPicture.Layer outer = seams.get("round").layers().get(0);
        double round = 2 * (outer.height() - 10) + outer.width() - 20;
        assertThat(seams.get("round").length())
                .as("both sides and the base of the outer, and of the lining but for its gap")
                .isEqualTo(new Length(Math.round((2 * round - 135) * 1e6)));
    }

    @Test
    void saysHowThePiecesLie() {
        assertThat(seams(Map.of()).get("zip").lies()).containsExactly("right sides together", "zip face down");
        assertThat(seams(Map.of()).get("topstitch").lies()).containsExactly("right side up");
        assertThat(seams(Map.of()).get("round").lies()).containsExactly("right sides together");
    }

    @Test
    void isDrawnOnlyWhereItIsSewn() {
        assertThat(seams(Map.of())).doesNotContainKeys("cut", "stiffen", "zips", "pack");
    }
}
