package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import mardun.core.design.OpenChoice.Alternative;
import mardun.core.design.OpenChoice.ChosenMeasure;
import mardun.core.design.OpenChoice.LeftOut;
import org.junit.jupiter.api.Test;

class OpenChoiceTest {

    private static final OpenChoice FILLING = new OpenChoice(
            "filling",
            "Filling",
            "none",
            List.of(
                    new Alternative("none", "none", List.of(), List.of(), List.of(), List.of()),
                    new Alternative(
                            "foam",
                            "foam",
                            List.of("F"),
                            List.of("foam"),
                            List.of("fuse", "trim"),
                            List.of(new ChosenMeasure("seam", "3/8 in"))),
                    new Alternative(
                            "batting",
                            "batting",
                            List.of("F"),
                            List.of("batting"),
                            List.of("quilt", "trim"),
                            List.of())));

    private static final OpenChoice CLOSING = new OpenChoice(
            "closing",
            "Closing",
            "snap",
            List.of(
                    new Alternative("snap", "snap", List.of(), List.of("snap"), List.of("set"), List.of()),
                    new Alternative(
                            "magnet",
                            "magnet",
                            List.of("M"),
                            List.of("magnet"),
                            List.of("press"),
                            List.of(new ChosenMeasure("seam", "1/2 in")))));

    private static final List<OpenChoice> BOTH = List.of(FILLING, CLOSING);

    @Test
    void whatBelongsToAnotherAlternativeIsNotThere() {
        LeftOut usual = OpenChoice.leftOut(BOTH, Map.of());
        assertThat(usual.letters()).containsExactlyInAnyOrder("F", "M");
        assertThat(usual.slots()).containsExactlyInAnyOrder("foam", "batting", "magnet");
        assertThat(usual.steps()).containsExactlyInAnyOrder("fuse", "trim", "quilt", "press");
        assertThat(usual.alternatives()).containsExactlyInAnyOrder("foam", "batting", "magnet");
    }

    /** A piece that two alternatives share is there with both of them. */
    @Test
    void whatTheTakenOneSharesWithAnotherIsThere() {
        LeftOut batting = OpenChoice.leftOut(BOTH, Map.of("filling", "batting"));
        assertThat(batting.letters()).containsExactly("M");
        assertThat(batting.steps()).containsExactlyInAnyOrder("fuse", "press");
        assertThat(batting.slots()).containsExactlyInAnyOrder("foam", "magnet");
    }

    @Test
    void ofTwoChoicesThatSetOneMeasureTheLaterCounts() {
        assertThat(OpenChoice.measures(BOTH, Map.of())).isEmpty();
        assertThat(OpenChoice.measures(BOTH, Map.of("filling", "foam"))).containsExactly(Map.entry("seam", "3/8 in"));
        assertThat(OpenChoice.measures(BOTH, Map.of("filling", "foam", "closing", "magnet")))
                .containsExactly(Map.entry("seam", "1/2 in"));
    }

    @Test
    void whatIsNoLongerThereToChooseIsTheUsual() {
        assertThat(FILLING.taken(Map.of("filling", "feathers")).key()).isEqualTo("none");
        assertThat(new OpenChoice("filling", "Filling", "gone", FILLING.alternatives())
                        .taken(Map.of())
                        .key())
                .isEqualTo("none");
    }

    @Test
    void aChoiceOfNothingTakesNothing() {
        List<OpenChoice> empty = List.of(new OpenChoice("filling", "Filling", "none", List.of()));
        assertThat(OpenChoice.leftOut(empty, Map.of("filling", "foam")).steps()).isEmpty();
        assertThat(OpenChoice.unusual(empty, Map.of("filling", "foam"))).isEmpty();
    }

    @Test
    void alternativesAreNamedByTheirKeysAlone() {
        assertThat(OpenChoice.picks(BOTH, List.of("magnet", "red"))).containsExactly(Map.entry("closing", "magnet"));
    }

    @Test
    void onlyWhatDiffersFromTheUsualIsKept() {
        assertThat(OpenChoice.unusual(BOTH, Map.of("filling", "none", "closing", "magnet", "colour", "red")))
                .containsExactly(Map.entry("closing", "magnet"));
    }

    @Test
    void aStepThatCameAfterOneThatIsLeftOutComesAfterWhatThatCameAfter() {
        Map<String, List<String>> after = new LinkedHashMap<>();
        after.put("cut", List.of());
        after.put("fuse", List.of("cut"));
        after.put("trim", List.of("fuse", "cut"));
        after.put("sew", List.of("trim"));
        assertThat(OpenChoice.after(after, Set.of("fuse", "trim")))
                .containsExactly(Map.entry("cut", List.of()), Map.entry("sew", List.of("cut")));
    }

    /** Whatever is left out, two steps that stay come one before the other as they did, and a circle ends. */
    @Test
    void nothingOfTheOrderIsLostAndNothingIsAdded() {
        Random random = new Random(11);
        for (int round = 0; round < 500; round++) {
            int steps = 2 + random.nextInt(9);
            Map<String, List<String>> after = new LinkedHashMap<>();
            for (int i = 0; i < steps; i++) {
                List<String> before = new ArrayList<>();
                for (int j = 0; j < i; j++) {
                    if (random.nextInt(3) == 0) {
                        before.add("s" + j);
                    }
                }
                after.put("s" + i, before);
            }
            Set<String> out = new HashSet<>();
            after.keySet().stream().filter(step -> random.nextInt(3) == 0).forEach(out::add);
            Map<String, List<String>> mended = OpenChoice.after(after, out);
            for (String one : mended.keySet()) {
                for (String other : mended.keySet()) {
                    assertThat(comesAfter(mended, one, other))
                            .as("%s after %s without %s of %s", one, other, out, after)
                            .isEqualTo(comesAfter(after, one, other));
                }
            }
        }
        assertThat(OpenChoice.after(Map.of("a", List.of("b"), "b", List.of("c"), "c", List.of("b")), Set.of("b", "c")))
                .isEqualTo(Map.of("a", List.of()));
    }

    private static boolean comesAfter(Map<String, List<String>> after, String one, String other) {
        return after.getOrDefault(one, List.of()).stream()
                .anyMatch(before -> before.equals(other) || comesAfter(after, before, other));
    }
}
