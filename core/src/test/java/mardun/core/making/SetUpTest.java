package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SetUpTest {

    private static List<List<String>> changes(SetUp... setUps) {
        List<List<String>> all = new ArrayList<>();
        SetUp before = SetUp.NONE;
        for (SetUp setUp : setUps) {
            all.add(setUp.changesFrom(before));
            before = setUp.after(before);
        }
        return all;
    }

    private static SetUp thread(String thread) {
        return SetUp.of("80", thread, "", "");
    }

    @Test
    void whatDoesNotMatterStaysOnTheMachine() {
        assertThat(changes(thread("white"), SetUp.of("", "", "zip foot", ""), thread("white")))
                .containsExactly(List.of("needle 80", "white thread"), List.of("zip foot"), List.of());
    }

    @Test
    void aSpaceOrACapitalLetterIsNoChangeOver() {
        assertThat(changes(thread("Off white"), thread(" off  White ")))
                .containsExactly(List.of("needle 80", "Off white thread"), List.of());
    }

    @Test
    void everyPartIsSaidInItsWords() {
        SetUp setUp = SetUp.NONE
                .with(SetUp.Part.BOBBIN, "white")
                .with(SetUp.Part.STITCH, "zigzag")
                .with(SetUp.Part.LENGTH, "2.5 mm")
                .with(SetUp.Part.WIDTH, "3")
                .with(SetUp.Part.POSITION, "left")
                .with(SetUp.Part.TENSION, "3.5")
                .with(SetUp.Part.HEAT, "150 °C")
                .with(SetUp.Part.SECONDS, "12")
                .with(SetUp.Part.PRESS_CLOTH, "press cloth")
                .with(SetUp.Part.STEAM, "dry");
        assertThat(setUp.changesFrom(SetUp.NONE))
                .containsExactly(
                        "white in the bobbin",
                        "stitch zigzag",
                        "length 2.5 mm",
                        "width 3",
                        "needle position left",
                        "tension 3.5",
                        "heat 150 °C",
                        "12 s",
                        "press cloth",
                        "dry");
        assertThat(setUp.with(SetUp.Part.WIDTH, " ").changesFrom(setUp)).isEmpty();
    }

    @Test
    void aSpaceWithinIsNoneEither() {
        assertThat(changes(thread("40 wt"), thread("40wt")))
                .containsExactly(List.of("needle 80", "40 wt thread"), List.of());
    }

    @Test
    void whatWasUsedIsOfferedOnceHoweverItIsWrittenTheUsualFirst() {
        assertThat(SetUp.used(List.of("", "walking foot", "Zip foot", "zip  foot", " ", "zip foot ")))
                .containsExactly("Zip foot", "walking foot");
    }

    @Test
    void aThreadFromTheShelfIsKnownByItsKey() {
        SetUp navy = new SetUp(Map.of(SetUp.Part.THREAD, "Navy 50"), "", false, Map.of(SetUp.Part.THREAD, "7"));
        SetUp renamed = new SetUp(Map.of(SetUp.Part.THREAD, "Midnight"), "", false, Map.of(SetUp.Part.THREAD, "7"));
        assertThat(navy.plain()).isEqualTo(renamed.plain());
        assertThat(navy.now(SetUp.Part.THREAD, Map.of("7", "Midnight"))).isEqualTo("Midnight");
        assertThat(navy.now(SetUp.Part.THREAD, Map.of()))
                .as("it is gone from the shelf")
                .isEqualTo("Navy 50");
        assertThat(navy.with(SetUp.Part.THREAD, "rust").spools()).isEmpty();
    }
}
