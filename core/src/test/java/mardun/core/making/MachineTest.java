package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mardun.core.making.Machine.Ability;
import mardun.core.making.SetUp.Part;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a machine must be able to do. */
class MachineTest {

    private static Length mm(int millimetres) {
        return Length.of(millimetres, 1, LengthUnit.MILLIMETRE);
    }

    @ParameterizedTest
    @CsvSource({
        "'', '', '', false",
        "straight, '', zip foot, false",
        "straight, 0, '', false",
        "straight, 0.0 mm, '', false",
        "straight, '0,0', '', false",
        "straight, 0.5, '', true",
        "'', 3 mm, '', true",
        "zigzag 3, '', '', true",
        "Zig-Zag, '', '', true",
        "bar tack, '', '', true",
        "triple straight, '', '', false",
    })
    void aStitchWithAWidthWantsZigzag(String stitch, String width, String foot, boolean zigzag) {
        SetUp setUp = SetUp.of("", "", foot, stitch).with(Part.WIDTH, width);
        assertThat(Machine.needed(setUp).contains(Ability.ZIGZAG)).isEqualTo(zigzag);
    }

    @Test
    void aWalkingFootAndAFreeArmAreNotOnEveryMachine() {
        assertThat(Machine.needed(SetUp.of("", "", "Walking foot", ""))).containsExactly(Ability.WALKING_FOOT);
        assertThat(Machine.needed(new SetUp(Map.of(), "", true))).containsExactly(Ability.FREE_ARM);
        assertThat(Machine.needed(SetUp.of("80", "navy", "zip foot", "2.5 mm"))).isEmpty();
    }

    @Test
    void aSeamThatIsTooThickDoesNotGoUnderItsFoot() {
        Machine small = new Machine("1", "Small", Station.MACHINE, Set.of(), Optional.of(mm(6)));
        Machine unsaid = new Machine("2", "Other", Station.MACHINE, Set.of(), Optional.empty());
        assertThat(small.can(SetUp.NONE, mm(6))).isTrue();
        assertThat(small.can(SetUp.NONE, mm(7))).isFalse();
        assertThat(unsaid.can(SetUp.NONE, mm(30))).isTrue();
    }
}
