package mardun.app.kind;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class RowMergeTest {

    record Row(String key, String name, String size) {}

    private final List<String> told = new ArrayList<>();
    private final RowMerge merge = new RowMerge((key, part) -> told.add(key + "." + part));

    private List<Row> merged(List<Row> before, List<Row> own, List<Row> anew) {
        return merge.rows(before, own, anew, Row::key);
    }

    private static Row row(String key, String name, String size) {
        return new Row(key, name, size);
    }

    private static final Row A = row("A", "Outer", "8");

    @Test
    void whatNobodyTouchedIsAsItIsDraftedNow() {
        assertThat(merged(List.of(A), List.of(A), List.of(row("A", "Outer, one piece", "16"))))
                .containsExactly(row("A", "Outer, one piece", "16"));
        assertThat(told).isEmpty();
    }

    @Test
    void aNameThatWasChangedByHandStaysWhileTheSizeFollows() {
        assertThat(merged(List.of(A), List.of(row("A", "Blue outer", "8")), List.of(row("A", "Outer", "16"))))
                .containsExactly(row("A", "Blue outer", "16"));
        assertThat(told).isEmpty();
    }

    @Test
    void whereBothChangedTheMakersStaysAndThatIsTold() {
        assertThat(merged(List.of(A), List.of(row("A", "Outer", "9")), List.of(row("A", "Outer", "16"))))
                .containsExactly(row("A", "Outer", "9"));
        assertThat(told).containsExactly("A.size");
    }

    @Test
    void whereBothChangedAlikeNothingIsTold() {
        assertThat(merged(List.of(A), List.of(row("A", "Outer", "16")), List.of(row("A", "Outer", "16"))))
                .containsExactly(row("A", "Outer", "16"));
        assertThat(told).isEmpty();
    }

    @Test
    void whatIsNewComesWhatIsGoneGoesAndTheMakersOwnStays() {
        Row tab = row("D", "Tab", "3");
        Row pocket = row("P", "Pocket", "5");
        Row mine = row("X", "Patch of my own", "2");

        assertThat(merged(List.of(A, tab), List.of(A, tab, mine), List.of(A, pocket)))
                .containsExactly(A, pocket, mine);
    }

    @Test
    void whatWasTakenOutByHandDoesntComeBackAndIsToldOnlyWhereItWouldHaveChanged() {
        Row tab = row("D", "Tab", "3");

        assertThat(merged(List.of(A, tab), List.of(A), List.of(A, tab))).containsExactly(A);
        assertThat(told).isEmpty();
        assertThat(merged(List.of(A, tab), List.of(A), List.of(A, row("D", "Tube", "4"))))
                .containsExactly(A);
        assertThat(told).containsExactly("D.");
    }
}
