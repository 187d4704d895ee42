package mardun.core.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import mardun.core.making.Stage;
import org.junit.jupiter.api.Test;

/** What of a batch can be laid while material is missing. */
class MissingTest {

    @Test
    void withoutClothNothingIsDoneAndWithoutZipsTheCuttingAlone() {
        Missing cloth = new Missing(List.of("Reed Stripe"), List.of());
        Missing zips = new Missing(List.of(), List.of("Zip tape"));
        for (Stage stage : Stage.values()) {
            assertThat(Missing.NOTHING.allows(stage)).isTrue();
            assertThat(cloth.allows(stage)).isFalse();
            assertThat(zips.allows(stage)).isEqualTo(stage == Stage.CUT);
        }
    }
}
