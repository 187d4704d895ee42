package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
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
        return new SetUp("80", thread, "", "");
    }

    @Test
    void whatDoesNotMatterStaysOnTheMachine() {
        assertThat(changes(thread("white"), new SetUp("", "", "zip foot", ""), thread("white")))
                .containsExactly(List.of("needle 80", "white thread"), List.of("zip foot"), List.of());
    }

    @Test
    void aSpaceOrACapitalLetterIsNoChangeOver() {
        assertThat(changes(thread("Off white"), thread(" off  White ")))
                .containsExactly(List.of("needle 80", "Off white thread"), List.of());
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
}
